package app.jerboa.server.prove;

import static app.jerboa.core.job.proof.Outcome.CANNOT_TELL;
import static app.jerboa.core.job.proof.Outcome.FAILED;
import static app.jerboa.core.job.proof.Outcome.OK;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Tongue;
import app.jerboa.server.desk.BorrowedLinks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobHands;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.secrets.DeviceAccounts;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Contacts;
import app.jerboa.wire.link.session.Answers;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Whether a device takes control: one question in each language that there is a way for. Nothing is
 * set, and nothing moves.
 */
@Component
class ControlTest {
    /** A slow lead that others are on takes its time. */
    private static final int PATIENCE_SECONDS = 5;

    /** Spoken over the link of a head; the others have links of their own. */
    private static final Set<Tongue> OF_HEADS = EnumSet.of(Tongue.VISCA, Tongue.D_PROTOCOL);

    private final BorrowedLinks links;
    private final KnobHands hands;
    private final Contacts contacts;
    private final DeviceAccounts accounts;

    ControlTest(BorrowedLinks links, KnobHands hands, Contacts contacts, DeviceAccounts accounts) {
        this.links = links;
        this.hands = hands;
        this.contacts = contacts;
        this.accounts = accounts;
    }

    /**
     * What came of one language.
     *
     * @param words what it is called where it answered, else why that is not known
     * @param told what it answered; blank where that is of no interest
     */
    private record Said(Outcome outcome, String words, String told) {
        Said(Outcome outcome, String words) {
            this(outcome, words, "");
        }
    }

    /** There is a language to ask it in. */
    static boolean can(DeskWay way, Device device) {
        return !languages(way, device).isEmpty();
    }

    private static List<Tongue> languages(DeskWay way, Device device) {
        return KnobHands.languages(way, device).stream()
                .filter(t -> OF_HEADS.contains(t) || KnobHands.readableIn(t, device).isPresent())
                .toList();
    }

    /** Ok when it answers in all of its languages; on a lead that tells its number and rate too. */
    Verdict test(Jobs.Stored stored, Device device) {
        DeskWay way = contacts.ways(stored).told(device);
        List<Said> all = new ArrayList<>();
        for (Tongue language : languages(way, device)) {
            all.add(
                    OF_HEADS.contains(language)
                            ? head(way, stored, device)
                            : knob(language, stored, device));
        }
        Verdict verdict =
                new Verdict(
                        worst(all),
                        answered(all),
                        all.stream()
                                .filter(s -> s.outcome() != OK)
                                .map(Said::words)
                                .findFirst()
                                .orElseGet(() -> did(all)));
        return way instanceof DeskWay.OverLine line && verdict.outcome() == OK
                ? verdict.with(Topic.CONTROL_ID, Integer.toString(line.number()), OK)
                        .with(Topic.BAUD, Integer.toString(line.rate().baud()), OK)
                : verdict;
    }

    /** What it refuses counts more than what could not be asked. */
    private static Outcome worst(List<Said> all) {
        return all.stream()
                .map(Said::outcome)
                .max(Comparator.comparing(List.of(OK, CANNOT_TELL, FAILED)::indexOf))
                .orElse(CANNOT_TELL);
    }

    private static String answered(List<Said> all) {
        return all.stream()
                .filter(s -> s.outcome() == OK)
                .map(Said::words)
                .collect(Collectors.joining(", "));
    }

    private static String did(List<Said> all) {
        String told =
                all.stream()
                        .map(Said::told)
                        .filter(t -> !t.isBlank())
                        .collect(Collectors.joining(", "));
        return told.isEmpty()
                ? Words.say("prove.did.control")
                : Words.say("prove.did.control.told", Map.of("told", told));
    }

    /** Its version, or where it points where that is all that its language knows. */
    private Said head(DeskWay way, Jobs.Stored stored, Device device) {
        boolean bus = way.onBus();
        if (bus && !((DeskWay.OverLine) way).tells()) {
            return new Said(CANNOT_TELL, Words.say("prove.tells-nothing"));
        }
        Function<HeadLink, CompletableFuture<?>> question =
                bus ? link -> link.askPanTilt(false) : HeadLink::askVersion;
        try {
            links.asking(stored, device, l -> Answers.await(question.apply(l), PATIENCE_SECONDS));
            return new Said(OK, answered(way));
        } catch (Problem e) {
            return new Said(CANNOT_TELL, e.getMessage());
        } catch (NoAnswer e) {
            return new Said(
                    FAILED,
                    Words.say(
                            "prove.no-answer",
                            Map.of("device", device.name(), "why", e.getMessage())));
        }
    }

    private static String answered(DeskWay way) {
        return way instanceof DeskWay.OverLine line
                ? Words.say(
                        "prove.control.on-lead",
                        Map.of(
                                "protocol", way.onBus() ? "D" : "VISCA",
                                "number", Integer.toString(line.number()),
                                "baud", Integer.toString(line.rate().baud())))
                : Words.say("prove.control.visca");
    }

    /** A password goes to a device that is known to be the one of the plan, and to no other. */
    private Said knob(Tongue language, Jobs.Stored stored, Device device) {
        Knob knob = KnobHands.readableIn(language, device).orElseThrow();
        try {
            if (accounts.of(stored, device).isPresent() && !contacts.known(stored, device)) {
                return new Said(
                        CANNOT_TELL,
                        Words.say("prove.not-identified", Map.of("device", device.name())));
            }
            int stands = hands.askIn(language, stored, device, knob);
            return new Said(
                    OK,
                    Words.say("prove.control." + language),
                    knob.name() + " " + knob.valueWords(stands));
        } catch (Problem e) {
            return new Said(CANNOT_TELL, e.getMessage());
        } catch (KnobHands.NotTurned e) {
            return new Said(e.code().equals("silent") ? FAILED : CANNOT_TELL, e.getMessage());
        }
    }
}
