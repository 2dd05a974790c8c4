package app.jerboa.wire.link.line;

import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaFramer;

/** VISCA on RS-232, RS-422 or RS-485: devices 1 to 7, each frame answered. */
public record ViscaLine() implements LineProtocol {
    /** A drive of 9 octets, its acknowledgement and its completion of 3 each. */
    private static final int UPDATE = 15;

    /** A question of 5 octets and the longest answer of 11. */
    private static final int QUESTION = 16;

    private static final int INQUIRY = 0x09;
    private static final int REPLIES = 0x90;
    private static final int ACK = 4;
    private static final int COMPLETION = 5;
    private static final int REFUSAL = 6;
    private static final int NETWORK_CHANGED = 0x38;
    private static final Octets DRIVE = Octets.of(0x01, 0x06, 0x01);
    private static final Octets ZOOM = Octets.of(0x01, 0x04, 0x07);
    private static final Octets STANDS = Octets.of(0x03, 0x03, 0xFF);

    @Override
    public Turn turn(Octets frame) {
        boolean drive = begins(frame, DRIVE);
        boolean zoom = begins(frame, ZOOM);
        boolean stop =
                drive && frame.size() == 9 && frame.slice(6, 9).equals(STANDS)
                        || zoom && frame.at(4) == 0;
        Object replaces = drive || zoom ? frame.slice(0, 4) : frame;
        boolean asks = frame.at(1) == INQUIRY;
        return new Turn(replaces, stop, asks, true, asks ? QUESTION : UPDATE);
    }

    private static boolean begins(Octets frame, Octets body) {
        return frame.size() > 1 + body.size() && frame.slice(1, 1 + body.size()).equals(body);
    }

    @Override
    public Cutter cutter() {
        ViscaFramer framer = new ViscaFramer();
        return framer::accept;
    }

    /** Address-set and clear come back from the end of the chain with the header of all. */
    @Override
    public int from(Octets frame) {
        int header = frame.at(0);
        if (header == 0x88) {
            return 0;
        }
        return header >= REPLIES && header <= REPLIES + 0x70 && (header & 0x0F) == 0
                ? (header >> 4) - 8
                : -1;
    }

    /** A camera joined or left: the numbers of all may be others now. */
    @Override
    public boolean concernsAll(Octets frame) {
        return frame.size() == 3 && frame.at(1) == NETWORK_CHANGED;
    }

    /**
     * A completion or a refusal ends a command, an answer a question. A move to a place completes
     * on arrival only: its acknowledgement must do.
     */
    @Override
    public boolean ends(Octets sent, Octets heard) {
        if (from(heard) != (sent.at(0) & 0x0F)) {
            return false;
        }
        int kind = heard.at(1) >> 4;
        boolean done = kind == REFUSAL || kind == COMPLETION;
        boolean arrives = !begins(sent, DRIVE) && !begins(sent, ZOOM) && sent.at(1) != INQUIRY;
        return done || arrives && kind == ACK;
    }
}
