package app.jerboa.standin.serial;

import app.jerboa.core.profile.Head;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.wire.dprotocol.DAxis;
import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DFramer;
import app.jerboa.wire.dprotocol.DMessage;
import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.List;
import java.util.function.Consumer;

/** A head on an RS-485 bus that obeys the D protocol. */
public final class BusVoice implements SerialVoice {
    private static final int TURN = 36_000;
    private static final int MOST_ZOOM = 65_535;

    /** Speed of a zoom by this protocol, which has only one: the middle of eight. */
    private static final int ZOOM_SPEED = 5;

    private final SimulatedHead head;
    private final Head facts;
    private final DForm form;
    private final int address;
    private final boolean tells;
    private final DFramer framer;
    private final KnobBank bank;
    private final BusVerbs verbs;

    /**
     * @param bank of what its profile's own frames do
     * @param address by its dial, 1 to 255
     * @param tells it answers questions about where it points
     */
    public BusVoice(
            SimulatedHead head, KnobBank bank, Head facts, DForm form, int address, boolean tells) {
        this.head = head;
        this.facts = facts;
        this.form = form;
        this.address = address;
        this.tells = tells;
        this.framer = new DFramer(form);
        this.bank = bank;
        this.verbs = new BusVerbs(bank.profile());
    }

    @Override
    public synchronized Octets hear(Octets chunk, Consumer<Octets> talk) {
        for (Decoded<Octets> frame : framer.accept(chunk.toArray())) {
            frame.toOptional()
                    .flatMap(f -> form.decode(f).toOptional().or(() -> form.profileFrame(f)))
                    .filter(a -> a.address() == address)
                    .ifPresent(a -> a.message().match(new Obey(talk)));
        }
        return chunk;
    }

    private final class Obey implements DMessage.Cases<Void> {
        private final Consumer<Octets> talk;

        Obey(Consumer<Octets> talk) {
            this.talk = talk;
        }

        private Void tell(ViscaRequest request) {
            head.handle(request, silent -> {});
            return null;
        }

        @Override
        public Void drive(DMessage.Drive it) {
            tell(
                    new ViscaRequest.Drive(
                            scaled(it.pan(), ViscaRequest.PAN_STEPS),
                            scaled(it.tilt(), ViscaRequest.TILT_STEPS)));
            return tell(new ViscaRequest.Zoom(it.zoom() * ZOOM_SPEED));
        }

        /** The head counts its own speeds; the slowest is never none. */
        private static int scaled(int step, int steps) {
            int size = (Math.abs(step) * steps + DMessage.STEPS - 1) / DMessage.STEPS;
            return Integer.signum(step) * size;
        }

        @Override
        public Void preset(DMessage.Preset it) {
            ViscaMessage message =
                    switch (it.action()) {
                        case SET -> ViscaMessage.PRESET_SET;
                        case CLEAR -> ViscaMessage.PRESET_RESET;
                        case GO -> ViscaMessage.PRESET_RECALL;
                    };
            return it.number() > 0x7F
                    ? null
                    : tell(new ViscaRequest.Sent(message, List.of(it.number())));
        }

        @Override
        public Void ask(DMessage.Ask it) {
            if (tells) {
                var answer = new DMessage.Position(it.axis(), value(it.axis()));
                talk.accept(form.encode(address, answer));
            }
            return null;
        }

        private int value(DAxis axis) {
            var state = head.state();
            return switch (axis) {
                case PAN -> hundredths(state.pan());
                case TILT -> hundredths(state.tilt());
                case ZOOM -> (int) Math.round(state.zoom() * MOST_ZOOM);
            };
        }

        private static int hundredths(double degrees) {
            return Math.floorMod(Math.round(degrees * 100), TURN);
        }

        @Override
        public Void position(DMessage.Position it) {
            return null;
        }

        @Override
        public Void other(DMessage.Other it) {
            verbs.told(it).ifPresent(bank::tell);
            return null;
        }
    }

    @Override
    public String toString() {
        return "head " + address + " of " + facts.lens();
    }
}
