package app.jerboa.wire.link.line;

import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DFramer;
import app.jerboa.wire.dprotocol.DMessage;
import app.jerboa.wire.octets.Octets;
import java.util.List;

/** The D protocol on an RS-485 bus: nothing is answered but questions, and those not by all. */
public record DLine(DForm form) implements LineProtocol {
    @Override
    public Turn turn(Octets frame) {
        DMessage message =
                form.decode(frame).toOptional().map(DForm.Addressed::message).orElse(null);
        boolean drive = message instanceof DMessage.Drive;
        boolean asks = message instanceof DMessage.Ask;
        Object replaces = drive ? List.of(form, frame.at(1)) : frame;
        boolean stop = drive && message.equals(DMessage.Drive.STOP);
        return new Turn(replaces, stop, asks, asks, asks ? 2 * form.size() : form.size());
    }

    @Override
    public Cutter cutter() {
        DFramer framer = new DFramer(form);
        return framer::accept;
    }

    /** A question or an order that comes in is no device's: it is our own, come back. */
    @Override
    public int from(Octets frame) {
        return form.decode(frame)
                .toOptional()
                .filter(a -> a.message() instanceof DMessage.Position)
                .map(DForm.Addressed::address)
                .orElse(-1);
    }

    @Override
    public boolean ends(Octets sent, Octets heard) {
        return form.decode(sent).toOptional().filter(a -> a.address() == from(heard)).isPresent();
    }
}
