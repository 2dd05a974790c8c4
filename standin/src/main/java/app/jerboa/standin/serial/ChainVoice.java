package app.jerboa.standin.serial;

import app.jerboa.standin.device.ViscaObeys;
import app.jerboa.standin.device.ViscaVoice;
import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaFramer;
import java.util.function.Consumer;

/**
 * A head on a VISCA line: it obeys what carries its number and hands the rest on; an address-set
 * gives it the number in the frame and goes on with the next one.
 */
public final class ChainVoice implements SerialVoice {
    private static final int TO_ALL = 0x88;
    private static final int SET = 0x30;
    private static final int NETWORK_CHANGE = 0x38;

    private final ViscaObeys head;
    private final ViscaFramer framer = new ViscaFramer();
    private int number;

    /**
     * @param number by its dial or menu, 1 to 7
     */
    public ChainVoice(ViscaObeys head, int number) {
        this.head = head;
        this.number = number;
    }

    public synchronized int number() {
        return number;
    }

    @Override
    public synchronized Octets hear(Octets chunk, Consumer<Octets> talk) {
        Octets on = Octets.of();
        for (Decoded<Octets> frame : framer.accept(chunk.toArray())) {
            if (frame.toOptional().isPresent()) {
                on = on.plus(obey(frame.toOptional().get(), talk));
            }
        }
        return on;
    }

    /** The network change of VISCA, with its number. */
    @Override
    public synchronized Octets joins() {
        return Octets.of((number + 8) << 4, NETWORK_CHANGE, 0xFF);
    }

    private Octets obey(Octets frame, Consumer<Octets> talk) {
        if (frame.at(0) == TO_ALL && frame.size() == 4 && frame.at(1) == SET) {
            number = frame.at(2) & 0x07;
            return Octets.of(TO_ALL, SET, number + 1, 0xFF);
        }
        if (frame.at(0) == (0x80 | number)) {
            new ViscaVoice(head, number).hear(frame, talk);
            return Octets.of();
        }
        return frame;
    }
}
