package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Tongue;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Reads and turns knobs for other parts of the server, by the same way as the pages do. */
@Component
public class KnobHands {
    private final Teller teller;

    KnobHands(Teller teller) {
        this.teller = teller;
    }

    /** It could not be read or turned; the message is one sentence for a person. */
    public static final class NotTurned extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private final String code;

        NotTurned(String code, String sentence) {
            super(sentence);
            this.code = code;
        }

        /** For example {@code silent}, {@code refused} or {@code no-way}. */
        public String code() {
            return code;
        }
    }

    /**
     * @throws NotTurned when it cannot be read
     */
    public int ask(Jobs.Stored stored, Device device, Knob knob) {
        return value(
                teller.read(stored, device, List.of(knob), true)
                        .getOrDefault(
                                knob.name(),
                                Teller.Reading.not(
                                        Words.say(
                                                "refused.unreadable", Map.of("knob", knob.name())),
                                        "no-reading")));
    }

    /** The languages in which it can be told something, by the way there is to it. */
    public static Set<Tongue> languages(DeskWay way, Device device) {
        return Teller.tongues(way, device);
    }

    /** The first of its knobs that can be asked in a language. */
    public static Optional<Knob> readableIn(Tongue language, Device device) {
        return device.profile().knobs().stream()
                .filter(Knob::readable)
                .filter(k -> k.said().stream().anyMatch(s -> s.in() == language))
                .findFirst();
    }

    /**
     * Asks in one language, whatever others there are.
     *
     * @throws NotTurned when it does not answer, or does not let us in
     */
    public int askIn(Tongue language, Jobs.Stored stored, Device device, Knob knob) {
        return value(teller.readIn(language, stored, device, knob, true));
    }

    /**
     * @return what it stands at then
     * @throws NotTurned when it was not turned, or cannot be read
     */
    public int turn(Jobs.Stored stored, Device device, Knob knob, int value, Person by) {
        try {
            return value(teller.turn(stored, device, knob, value, by));
        } catch (NotTold e) {
            throw new NotTurned(e.code(), e.getMessage());
        }
    }

    private static int value(Teller.Reading reading) {
        return reading.value().orElseThrow(() -> new NotTurned(reading.code(), reading.trouble()));
    }
}
