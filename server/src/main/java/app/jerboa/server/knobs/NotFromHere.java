package app.jerboa.server.knobs;

import app.jerboa.core.knob.Does;
import app.jerboa.core.knob.Tongue;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DMessage;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.Effect;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.Map;
import org.springframework.http.HttpStatus;

/**
 * What moves a head goes out from the stick, Home or a preset only, where a stop follows it:
 * whatever a profile calls it, the octets decide. The focus is let through: it ends by itself.
 */
final class NotFromHere {
    private NotFromHere() {}

    /**
     * @param frame as it would go out; empty for what is no octets
     * @throws Problem when it moves a head or renumbers a chain
     */
    static void refuse(Does does, Tongue in, Octets frame) {
        if (does == Does.MOVES || moves(in, frame)) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "not-from-here",
                    Words.say("refused.not-from-here", Map.of("why", Words.say("frame.moves"))));
        }
    }

    static boolean moves(Tongue in, Octets frame) {
        if (in == Tongue.D_PROTOCOL) {
            return DForm.D.decode(frame).toOptional().filter(a -> moves(a.message())).isPresent();
        }
        return in == Tongue.VISCA
                && ViscaRequest.decode(frame)
                        .toOptional()
                        .map(ViscaRequest.Addressed::request)
                        .filter(NotFromHere::moves)
                        .isPresent();
    }

    private static boolean moves(ViscaRequest request) {
        Effect effect = Effect.of(request);
        boolean focus =
                request instanceof ViscaRequest.Sent it
                        && it.message() == ViscaMessage.FOCUS_DIRECT;
        return !focus && (effect == Effect.MOVES || effect == Effect.RENUMBERS);
    }

    private static boolean moves(DMessage message) {
        return message instanceof DMessage.Preset preset
                ? preset.action() == DMessage.PresetAction.GO
                : message instanceof DMessage.Drive && !message.equals(DMessage.Drive.STOP);
    }
}
