package app.jerboa.wire.link.line;

import app.jerboa.wire.octets.Octets;
import java.util.Optional;

/**
 * What a line's faults look like from here, by what came in since something sensible did last. Each
 * is said once it was seen often enough not to be chance.
 */
final class Symptoms {
    private static final int OFTEN = 5;
    private static final int END = 0xFF;

    private int garbage;
    private int echoes;
    private int doubled;
    private int good;

    void heard() {
        good++;
        garbage = 0;
    }

    void echoed() {
        echoes++;
    }

    void notUnderstood(Octets octets) {
        if (octets.size() == 1 && octets.at(0) == END) {
            doubled++;
        } else {
            garbage++;
        }
    }

    /** In words, with what to do; empty while all looks well. */
    Optional<String> words() {
        if (doubled >= OFTEN && doubled * 2 > good) {
            return Optional.of(
                    "every FF comes in twice: the serial server is in terminal mode; set it to raw TCP");
        }
        if (echoes >= OFTEN && good == 0) {
            return Optional.of(
                    "only our own frames come back: a two-wire line that echoes, and no device that answers");
        }
        return garbage >= OFTEN
                ? Optional.of(
                        "what comes in is no frame: compare baud rate and framing at both ends, then + and -")
                : Optional.empty();
    }
}
