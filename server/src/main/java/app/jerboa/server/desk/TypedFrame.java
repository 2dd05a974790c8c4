package app.jerboa.server.desk;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DMessage;
import app.jerboa.wire.dprotocol.DWords;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.Effect;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ViscaWords;
import java.util.HexFormat;
import java.util.Map;
import org.springframework.http.HttpStatus;

/**
 * A frame as somebody typed it, and what it does.
 *
 * @param octets the whole frame
 */
record TypedFrame(Octets octets, String words, Effect effect) {
    private static final int LONGEST_TEXT = 64;
    private static final int LONGEST_FRAME = 16;
    private static final int TO_ONE = 0x80;
    private static final int END = 0xFF;

    /**
     * @throws Problem for what is no frame from a controller to one camera
     */
    static TypedFrame visca(String hex) {
        Octets octets = octets(hex);
        boolean frame =
                octets.size() >= 3
                        && octets.size() <= LONGEST_FRAME
                        && (octets.at(0) & 0xF8) == TO_ONE
                        && (octets.at(0) & 0x07) != 0
                        && octets.at(octets.size() - 1) == END
                        && !octets.slice(1, octets.size() - 1).toString().contains("FF");
        if (!frame) {
            throw bad(Words.say("refused.visca-frame"));
        }
        ViscaRequest request = new ViscaRequest.Raw(octets.slice(1, octets.size() - 1));
        return new TypedFrame(octets, ViscaWords.of(request), Effect.of(request));
    }

    static TypedFrame onBus(String hex) {
        Octets octets = octets(hex);
        return DForm.D.decode(octets)
                .toOptional()
                .map(a -> new TypedFrame(octets, DWords.of(a.message()), effect(a.message())))
                .orElseThrow(() -> bad(Words.say("refused.d-frame")));
    }

    private static Effect effect(DMessage message) {
        if (message instanceof DMessage.Ask) {
            return Effect.READS;
        }
        boolean goes =
                message instanceof DMessage.Preset preset
                        ? preset.action() == DMessage.PresetAction.GO
                        : !message.equals(DMessage.Drive.STOP);
        return goes ? Effect.MOVES : Effect.SETS;
    }

    private static Octets octets(String hex) {
        String digits = hex == null ? "" : hex.replaceAll("[\\s,]+", "");
        try {
            if (digits.isEmpty() || digits.length() > LONGEST_TEXT) {
                throw new IllegalArgumentException("of no use");
            }
            return Octets.of(HexFormat.of().parseHex(digits));
        } catch (IllegalArgumentException e) {
            throw bad(Words.say("refused.octets"));
        }
    }

    private static Problem bad(String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-frame",
                Words.say("refused.unsent", Map.of("why", sentence)),
                Map.of("field", "hex"));
    }

    boolean sendable() {
        return effect != Effect.MOVES && effect != Effect.RENUMBERS;
    }
}
