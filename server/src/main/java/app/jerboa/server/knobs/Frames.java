package app.jerboa.server.knobs;

import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.FrameTemplate;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.HexFormat;
import java.util.List;

/**
 * The octets that a saying stands for, to camera 1: a link puts its own number in. None for what is
 * said in no octets.
 */
final class Frames {
    private static final int TO_FIRST = 0x81;
    private static final int END = 0xFF;
    private static final int OCTET = 0x100;

    private Frames() {}

    static Octets of(Octets body) {
        return Octets.of(TO_FIRST).plus(body).plus(Octets.of(END));
    }

    static Octets of(ViscaMessage withoutValue) {
        return new ViscaRequest.Sent(withoutValue, List.of()).encode(1);
    }

    static Octets turning(Saying said, int value) {
        if (said.in() != Tongue.VISCA) {
            return Octets.of();
        }
        int onWire = value + said.offset();
        if (said.message().isEmpty()) {
            return of(FrameTemplate.request(said.frame()).fill(onWire));
        }
        ViscaMessage message = ViscaMessage.named(said.message()).orElseThrow();
        return ViscaRequest.Sent.of(message, onWire).encode(1);
    }

    static Octets telling(Saying said) {
        if (said.in() == Tongue.D_PROTOCOL) {
            return onBus(said.frame());
        } else if (said.in() != Tongue.VISCA) {
            return Octets.of();
        }
        return said.message().isEmpty()
                ? of(FrameTemplate.request(said.frame()).fill(0))
                : of(ViscaMessage.named(said.message()).orElseThrow());
    }

    /** {@code FF aa 00 09 00 01 ss} to address 1 with its sum. */
    private static Octets onBus(String frame) {
        String[] pairs = frame.split(" ", -1);
        int[] octets = new int[pairs.length];
        octets[0] = END;
        octets[1] = 1;
        int sum = 1;
        for (int i = 2; i < pairs.length - 1; i++) {
            octets[i] = HexFormat.fromHexDigits(pairs[i]);
            sum += octets[i];
        }
        octets[pairs.length - 1] = sum % OCTET;
        return Octets.of(octets);
    }
}
