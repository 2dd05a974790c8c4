package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;

/** Cuts a stream into VISCA frames; after one that is too long it picks up at the next end mark. */
public final class ViscaFramer {
    static final int END = 0xFF;

    /** Header, 1 to 14 octets, end mark. */
    static final int LONGEST = 16;

    private enum State {
        COLLECTING,
        /** Too long: drop everything up to the next end mark. */
        SKIPPING
    }

    private final ByteArrayOutputStream pending = new ByteArrayOutputStream(LONGEST);
    private State state = State.COLLECTING;

    /** Each finished frame, end mark included; the rest stays pending. */
    public List<Decoded<Octets>> accept(byte[] chunk) {
        List<Decoded<Octets>> frames = new ArrayList<>();
        for (byte b : chunk) {
            accept(b & 0xFF, frames);
        }
        return frames;
    }

    private void accept(int octet, List<Decoded<Octets>> frames) {
        if (state == State.SKIPPING) {
            state = octet == END ? State.COLLECTING : State.SKIPPING;
            return;
        }
        if (pending.size() == LONGEST - 1 && octet != END) {
            frames.add(Decoded.rejected(take(), "no end mark within " + LONGEST + " octets"));
            state = State.SKIPPING;
            return;
        }
        pending.write(octet);
        if (octet == END) {
            Octets frame = take();
            frames.add(
                    frame.size() < 3
                            ? Decoded.rejected(frame, "a frame has 3 to 16 octets")
                            : Decoded.accepted(frame));
        }
    }

    private Octets take() {
        Octets octets = Octets.of(pending.toByteArray());
        pending.reset();
        return octets;
    }
}
