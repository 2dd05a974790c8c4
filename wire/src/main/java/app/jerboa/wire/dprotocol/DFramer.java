package app.jerboa.wire.dprotocol;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Cuts a stream into frames. There is no end mark: a frame is a start octet and as many as its form
 * has, closed by a checksum that fits; where it does not, the search goes on one octet further.
 */
public final class DFramer {
    private final DForm form;
    private byte[] pending = new byte[0];

    public DFramer(DForm form) {
        this.form = form;
    }

    /**
     * Each frame whose checksum fits, known or not, and what was passed over on the way to it; less
     * than a frame stays pending.
     */
    public List<Decoded<Octets>> accept(byte[] chunk) {
        byte[] all = Arrays.copyOf(pending, pending.length + chunk.length);
        System.arraycopy(chunk, 0, all, pending.length, chunk.length);
        List<Decoded<Octets>> frames = new ArrayList<>();
        int passed = 0;
        int at = 0;
        while (all.length - at >= form.size()) {
            if (fits(all, at)) {
                addPassed(all, passed, at, frames);
                frames.add(Decoded.accepted(slice(all, at, at + form.size())));
                at += form.size();
                passed = at;
            } else {
                at++;
            }
        }
        addPassed(all, passed, at, frames);
        pending = Arrays.copyOfRange(all, at, all.length);
        return frames;
    }

    private static void addPassed(byte[] all, int from, int to, List<Decoded<Octets>> frames) {
        if (to > from) {
            frames.add(Decoded.rejected(slice(all, from, to), "no frame begins here"));
        }
    }

    private static Octets slice(byte[] all, int from, int to) {
        return Octets.of(Arrays.copyOfRange(all, from, to));
    }

    private boolean fits(byte[] all, int at) {
        if ((all[at] & 0xFF) != form.start()) {
            return false;
        }
        int check = 0;
        int last = at + form.size() - 1;
        for (int i = form == DForm.D ? at + 1 : at; i < last; i++) {
            check = form == DForm.D ? check + all[i] : check ^ all[i];
        }
        return (check & 0xFF) == (all[last] & 0xFF);
    }
}
