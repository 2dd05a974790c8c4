package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.knob.Does;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.knob.Verb;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobBodies.DeviceReadings;
import app.jerboa.server.knobs.KnobBodies.ReadingBody;
import app.jerboa.server.knobs.KnobBodies.SayBody;
import app.jerboa.server.knobs.KnobBodies.SayView;
import app.jerboa.server.knobs.KnobBodies.Told;
import app.jerboa.server.knobs.KnobBodies.ToldView;
import app.jerboa.server.knobs.KnobBodies.TurnBody;
import app.jerboa.server.knobs.KnobBodies.VerbTold;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import jakarta.annotation.PreDestroy;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** What people do with knobs and verbs: by the profile's rules, and asked for where it is grave. */
@Service
class KnobService {
    private static final int MOST_DEVICES = 128;
    private static final int AT_ONCE = 8;
    private static final int MOST_WAITING = 512;

    private final Teller teller;
    private final TellingLinks links;
    private final ApprovalMapper approvals;
    private final KnobViews views;
    private final Certificates certificates;
    private final Logbook log;

    /** Devices are waited for on these, so that a silent one keeps nobody else. */
    private final ExecutorService readers =
            new ThreadPoolExecutor(
                    AT_ONCE, AT_ONCE, 1, TimeUnit.MINUTES, new LinkedBlockingQueue<>(MOST_WAITING));

    KnobService(
            Teller teller,
            TellingLinks links,
            ApprovalMapper approvals,
            KnobViews views,
            Certificates certificates,
            Logbook log) {
        this.teller = teller;
        this.links = links;
        this.approvals = approvals;
        this.views = views;
        this.certificates = certificates;
        this.log = log;
    }

    @PreDestroy
    void close() {
        readers.shutdownNow();
    }

    List<ToldView> all(Jobs.Stored stored) {
        return views.all(stored);
    }

    List<DeviceReadings> read(Jobs.Stored stored, List<Long> devices, boolean pressed) {
        if (devices.size() > MOST_DEVICES) {
            throw bad(
                    "devices", Words.say("refused.cameras-at-once", Map.of("most", MOST_DEVICES)));
        }
        try {
            List<CompletableFuture<DeviceReadings>> asked =
                    devices.stream()
                            .distinct()
                            .map(stored::need)
                            .map(
                                    d ->
                                            CompletableFuture.supplyAsync(
                                                    () -> readings(stored, d, pressed), readers))
                            .toList();
            return asked.stream().map(CompletableFuture::join).toList();
        } catch (RejectedExecutionException e) {
            throw new Problem(
                    HttpStatus.SERVICE_UNAVAILABLE, "too-many", Words.say("refused.asking-busy"));
        }
    }

    private DeviceReadings readings(Jobs.Stored stored, Device d, boolean pressed) {
        Map<String, ReadingBody> all = new LinkedHashMap<>();
        teller.read(stored, d, d.profile().knobs(), pressed).forEach((k, r) -> all.put(k, body(r)));
        return new DeviceReadings(d.id().value(), all);
    }

    private static ReadingBody body(Teller.Reading r) {
        OptionalInt value = r.value().map(OptionalInt::of).orElse(OptionalInt.empty());
        return new ReadingBody(value, r.trouble(), r.code());
    }

    ReadingBody turn(Jobs.Stored stored, Device d, TurnBody body, Person by) {
        Knob knob = knob(d, body.knob());
        insistOn(knob, body.value());
        Set<Tongue> tongues = teller.tongues(stored, d);
        Optional<Saying> said = Teller.said(knob.said(), tongues);
        String sent = said.map(s -> SentWords.turning(knob, s, body.value())).orElse("");
        said.ifPresent(
                w -> NotFromHere.refuse(knob.doing(), w.in(), Frames.turning(w, body.value())));
        insistThatItMay(stored, d, knob.name(), knob.doing(), sent, body.confirmed());
        try {
            Teller.Reading reading = teller.turn(stored, d, knob, body.value(), by);
            if (knob.doing().grave()) {
                String words =
                        knob.name() + " of " + d.name() + ": " + knob.valueWords(body.value());
                log.event(stored.id(), words, List.of(d.id().value()), by);
            }
            return body(reading);
        } catch (NotTold e) {
            throw told(e);
        }
    }

    private static void insistOn(Knob knob, int value) {
        if (!knob.takes(value)) {
            throw bad(
                    "value",
                    knob.choices().isEmpty()
                            ? Words.say(
                                    "refused.knob-range",
                                    Map.of(
                                            "knob",
                                            knob.name(),
                                            "least",
                                            knob.least(),
                                            "most",
                                            knob.most()))
                            : Words.say("refused.knob-choice", Map.of("knob", knob.name())));
        }
    }

    Told tell(Jobs.Stored stored, Device d, VerbTold body, Person by) {
        Verb verb = d.profile().verb(body.verb()).orElseThrow(() -> Problem.notFound("verb"));
        Set<Tongue> tongues = teller.tongues(stored, d);
        String sent = Teller.said(verb.sayings(), tongues).map(SentWords::telling).orElse("");
        Teller.said(verb.sayings(), tongues)
                .ifPresent(w -> NotFromHere.refuse(verb.does(), w.in(), Frames.telling(w)));
        insistThatItMay(stored, d, verb.name(), verb.does(), sent, body.confirmed());
        try {
            teller.tell(stored, d, verb, by);
        } catch (NotTold e) {
            throw told(e);
        }
        String words = Words.say("told.done", Map.of("device", d.name(), "what", verb.name()));
        if (verb.does().grave()) {
            log.event(stored.id(), words, List.of(d.id().value()), by);
        }
        return new Told(words);
    }

    private void insistThatItMay(
            Jobs.Stored stored, Device d, String what, Does does, String sent, boolean confirmed) {
        if (!views.approved(stored, d, what, does, sent)) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "not-approved",
                    Words.say("told.not-approved", Map.of("device", d.name(), "what", what)),
                    Map.of("sent", sent));
        }
        if (does.grave() && !confirmed) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "confirm",
                    Words.say("told.confirm." + does, Map.of("device", d.name(), "what", what)),
                    Map.of("sent", sent));
        }
    }

    SayView preview(Jobs.Stored stored, Device d, SayBody body) {
        Set<Tongue> tongues = teller.tongues(stored, d);
        Optional<Verb> verb = d.profile().verb(body.name());
        List<Saying> all = verb.map(Verb::sayings).orElseGet(() -> knob(d, body.name()).said());
        Saying said =
                Teller.said(all, tongues)
                        .orElseThrow(
                                () ->
                                        new Problem(
                                                HttpStatus.CONFLICT,
                                                "no-way",
                                                Words.say(
                                                        "told.no-way",
                                                        Map.of("device", d.name()))));
        Does does = verb.map(Verb::does).orElseGet(() -> knob(d, body.name()).doing());
        String sent = verb.isPresent() ? SentWords.telling(said) : turning(d, said, body);
        return new SayView(
                SentWords.tongue(said.in()),
                sent,
                does.toString(),
                does.grave(),
                views.approved(stored, d, body.name(), does, sent));
    }

    private static String turning(Device d, Saying said, SayBody body) {
        Knob knob = knob(d, body.name());
        int value = body.value().orElseThrow(() -> bad("value", Words.say("refused.knob-value")));
        insistOn(knob, value);
        return SentWords.turning(knob, said, value);
    }

    SayView approve(Jobs.Stored stored, Device d, SayBody body, Author by) {
        SayView view = preview(stored, d, body);
        approvals.approve(stored.id(), d.profile().id(), body.name(), view.sent(), by.id());
        String words =
                Words.say(
                        "logged.approved",
                        Map.of(
                                "profile",
                                d.profile().name(),
                                "what",
                                body.name(),
                                "sent",
                                view.sent()));
        log.event(stored.id(), words, List.of(d.id().value()), by);
        return preview(stored, d, body);
    }

    Told forgetCertificate(Jobs.Stored stored, Device d, Author by) {
        String words =
                certificates
                        .accept(stored, d, by)
                        .orElseThrow(() -> Problem.notFound("kept certificate"));
        links.forget(stored.id(), d.id().value());
        return new Told(words);
    }

    private static Knob knob(Device d, String name) {
        return d.profile().knob(name).orElseThrow(() -> Problem.notFound("knob"));
    }

    private static Problem told(NotTold e) {
        return new Problem(HttpStatus.CONFLICT, e.code(), e.getMessage());
    }

    private static Problem bad(String field, String sentence) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", sentence, Map.of("field", field));
    }
}
