package app.jerboa.server.secrets;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Secret;
import app.jerboa.core.job.secret.DefaultPasswords;
import app.jerboa.core.job.secret.KeyPresses;
import app.jerboa.core.job.secret.NewSecret;
import app.jerboa.core.job.secret.SecretPolicy;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Access;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Secrets;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps, makes and shows secrets; each showing is written into the logbook. */
@Service
class SecretService {
    private static final int LONGEST = 200;

    private final Jobs jobs;
    private final Commands commands;
    private final Logbook log;
    private final Sealing sealing;
    private final RandomGenerator random = new SecureRandom();

    SecretService(Jobs jobs, Commands commands, Logbook log, Sealing sealing) {
        this.jobs = jobs;
        this.commands = commands;
        this.log = log;
        this.sealing = sealing;
    }

    /** New passwords by what each device can take, in one change. */
    @Transactional
    Commands.Done make(long job, List<Long> devices, Author by) {
        return commands.apply(
                job,
                stored -> {
                    List<Device> all = devices.stream().distinct().map(stored::need).toList();
                    List<ChangeSet> changes = new ArrayList<>();
                    for (Device d : all) {
                        String made = NewSecret.of(SecretPolicy.of(d.profile()), random);
                        String user = d.profile().access().map(Access::user).orElse("");
                        changes.add(password(stored.job(), d, user, made));
                    }
                    return ChangeSet.all(changes).numbered(stored.nextItem());
                },
                by);
    }

    private ChangeSet password(Job job, Device d, String user, String value) {
        Optional<Secret> kept = job.password(d.id());
        String name = kept.map(Secret::name).filter(n -> !n.isEmpty()).orElse(user);
        return kept.map(s -> edited(s, s.name(), value, Secrets.GENERATED))
                .orElseGet(
                        () ->
                                added(
                                        Optional.of(d.id()),
                                        Secrets.PASSWORD,
                                        name,
                                        value,
                                        Secrets.GENERATED));
    }

    /** One that somebody typed, new or in the place of the one before. */
    @Transactional
    Commands.Done type(long job, SecretBodies.TypeBody body, Author by) {
        if (body.value().isEmpty() || body.value().length() > LONGEST) {
            throw bad("value", Words.say("refused.secret-length", Map.of("most", LONGEST)));
        }
        if (!Secrets.USES.contains(body.use())) {
            throw bad("use", Words.say("refused.secret-use"));
        }
        return commands.apply(
                job,
                stored -> {
                    insistThatItFits(stored, body);
                    String origin =
                            body.use().equals(Secrets.PASSWORD)
                                            && DefaultPasswords.contains(body.value(), body.name())
                                    ? Secrets.FACTORY
                                    : "typed";
                    return typed(stored, body, origin).numbered(stored.nextItem());
                },
                by);
    }

    private ChangeSet typed(Jobs.Stored stored, SecretBodies.TypeBody body, String origin) {
        if (body.id().isPresent()) {
            return edited(need(stored, body.id().get()), body.name(), body.value(), origin);
        }
        Optional<DeviceId> device = body.deviceId().map(id -> stored.need(id).id());
        boolean twice =
                body.use().equals(Secrets.PASSWORD)
                        && device.flatMap(stored.job()::password).isPresent();
        if (twice) {
            throw new Problem(
                    HttpStatus.CONFLICT, "password-there", Words.say("refused.password-kept"));
        }
        return added(device, body.use(), body.name(), body.value(), origin);
    }

    /** What cannot be typed at the device would lock everybody out. */
    private static void insistThatItFits(Jobs.Stored stored, SecretBodies.TypeBody body) {
        if (body.deviceId().isEmpty() || !body.use().equals(Secrets.PASSWORD)) {
            return;
        }
        Device d = stored.need(body.deviceId().get());
        int longest = SecretPolicy.of(d.profile()).longest();
        if (body.value().length() > longest) {
            throw bad(
                    "value",
                    Words.say(
                            "refused.password-long", Map.of("device", d.name(), "most", longest)));
        }
    }

    private ChangeSet added(
            Optional<DeviceId> device, String use, String name, String value, String origin) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        texts.put(Field.SECRET_FOR, device.map(DeviceId::toString).orElse(""));
        texts.put(Field.SECRET_USE, use);
        texts.put(Field.SECRET_NAME, name);
        texts.put(Field.SEALED, sealing.seal(value));
        texts.put(Field.FINGERPRINT, sealing.fingerprint(value));
        texts.put(Field.SECRET_ORIGIN, origin);
        // Stand-in numbers differ where several are added together.
        long standIn = -1 - device.map(DeviceId::value).orElse(0L);
        return ChangeSet.adding(new Item(new ItemRef(ItemKind.SECRET, standIn), texts));
    }

    private ChangeSet edited(Secret s, String name, String value, String origin) {
        Map<Field, String> after =
                Map.of(
                        Field.SECRET_NAME,
                        name,
                        Field.SEALED,
                        sealing.seal(value),
                        Field.FINGERPRINT,
                        sealing.fingerprint(value),
                        Field.SECRET_ORIGIN,
                        origin);
        List<Edit> edits = new ArrayList<>();
        after.forEach(
                (f, text) -> {
                    String before = JobItems.text(s, f);
                    if (!before.equals(text)) {
                        edits.add(new Edit(s.ref(), f, before, text));
                    }
                });
        return ChangeSet.edits(edits);
    }

    private static Secret need(Jobs.Stored stored, long id) {
        return stored.job().secrets().stream()
                .filter(s -> s.id() == id)
                .findFirst()
                .orElseThrow(() -> Problem.notFound("secret"));
    }

    @Transactional
    Commands.Done forget(long job, long id, Author by) {
        return commands.apply(
                job, stored -> ChangeSet.removing(JobItems.item(need(stored, id))), by);
    }

    /** In clear, with a line in the logbook that says who looked. */
    @Transactional
    SecretBodies.ShownBody show(long job, long id, Author by) {
        Jobs.Stored stored = jobs.load(job);
        Secret secret = need(stored, id);
        String value = sealing.open(secret.sealed());
        Optional<Device> device = secret.device().flatMap(stored.job()::device);
        SecretPolicy policy =
                device.map(d -> SecretPolicy.of(d.profile())).orElse(SecretPolicy.FREE);
        log.event(
                job,
                device.map(
                                d ->
                                        Words.say(
                                                "logged.shown",
                                                Map.of("use", secret.use(), "device", d.name())))
                        .orElse(Words.say("logged.shown-house", Map.of("use", secret.use()))),
                device.map(d -> d.id().value()).stream().toList(),
                by);
        return new SecretBodies.ShownBody(
                value,
                KeyPresses.of(value, policy.letters()),
                KeyPresses.oneMode(value, policy.letters()));
    }

    private static Problem bad(String field, String sentence) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", sentence, Map.of("field", field));
    }
}
