package app.jerboa.wire.link.session;

import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DMessage;
import app.jerboa.wire.dprotocol.DWords;
import app.jerboa.wire.octets.Octets;
import java.util.Optional;

/** The D protocol to one head of a bus. Orders are not answered: a stop is sent three times. */
final class DDialect implements Dialect<DMessage, DMessage> {
    private static final int STOPS = 3;
    private static final int BETWEEN_STOPS_MILLIS = 60;
    private static final int QUESTIONS = 3;
    private static final int QUESTION_MILLIS = 400;

    private final DForm form;
    private final int address;

    /**
     * @param address 1 to 255
     */
    DDialect(DForm form, int address) {
        this.form = form;
        this.address = address;
    }

    @Override
    public long sequences() {
        return Long.MAX_VALUE;
    }

    @Override
    public Octets encode(DMessage request, long sequence) {
        return form.encode(address, request);
    }

    @Override
    public Heard<DMessage> read(Octets frame) {
        return form.decode(frame)
                .toOptional()
                .filter(a -> a.address() == address)
                .map(DForm.Addressed::message)
                .filter(DMessage.Position.class::isInstance)
                .<Heard<DMessage>>map(m -> new Heard.Reply<>(m, Optional.empty()))
                .orElseGet(() -> new Heard.Other<>());
    }

    @Override
    public boolean settles(DMessage request, DMessage reply) {
        return request instanceof DMessage.Ask ask
                && reply instanceof DMessage.Position at
                && ask.axis() == at.axis();
    }

    @Override
    public boolean answered(DMessage request) {
        return asks(request);
    }

    /** Nothing comes back that would tell a stop that never left from one that was obeyed. */
    @Override
    public boolean owed(DMessage request) {
        return request.equals(DMessage.Drive.STOP);
    }

    @Override
    public boolean asks(DMessage request) {
        return request instanceof DMessage.Ask;
    }

    @Override
    public DMessage received() {
        return DMessage.Drive.STOP;
    }

    @Override
    public int tries(DMessage request) {
        return asks(request) ? QUESTIONS : request.equals(DMessage.Drive.STOP) ? STOPS : 1;
    }

    @Override
    public int millisToResend(DMessage request, int sent) {
        return asks(request)
                ? QUESTION_MILLIS
                : request.equals(DMessage.Drive.STOP) ? BETWEEN_STOPS_MILLIS : 0;
    }

    @Override
    public String words(DMessage request) {
        return "head " + address + ": " + DWords.of(request);
    }

    @Override
    public String words(Octets frame) {
        return DWords.of(form, frame);
    }
}
