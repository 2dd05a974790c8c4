package app.jerboa.standin;

import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SerialLine;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.serial.BusVoice;
import app.jerboa.standin.serial.ChainVoice;
import app.jerboa.standin.serial.LineFault;
import app.jerboa.standin.serial.SerialServerEar;
import app.jerboa.standin.serial.SerialVoice;
import app.jerboa.standin.serial.SimulatedLine;
import app.jerboa.wire.dprotocol.DForm;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;

/** A serial server with heads behind it, on a chain or on a bus, and with faults in the line. */
final class AloneLine {
    private static final int SERIAL_PORT = 4001;
    private static final int MOST_CHAINED = 7;
    private static final int MOST_ID = 255;
    private static final int MOST_BAUD = 1_000_000;

    private final Options options;
    private final Profile profile;
    private final Supplier<KnobBank> banks;
    private final Function<KnobBank, SimulatedHead> heads;

    /**
     * @param banks one that nobody has yet
     * @param heads one that nobody has yet, by its bank
     */
    AloneLine(
            Options options,
            Profile profile,
            Supplier<KnobBank> banks,
            Function<KnobBank, SimulatedHead> heads) {
        this.options = options;
        this.profile = profile;
        this.banks = banks;
        this.heads = heads;
    }

    /** What it is, in words. */
    String what() {
        return (bus() ? "a bus" : "a chain") + " of " + heads() + " behind a serial server";
    }

    private boolean bus() {
        return profile.answers(Protocol.D_PROTOCOL).isPresent();
    }

    private int heads() {
        return options.whole("chain", 1, MOST_CHAINED);
    }

    DevicePort open(InetAddress at) throws IOException {
        boolean bus = bus();
        if (!bus && profile.answers(Protocol.VISCA_SERIAL).isEmpty()) {
            throw new IllegalArgumentException(
                    "\"" + profile.id() + "\" has no serial port; name a VISCA port instead");
        }
        int heads = heads();
        int own = profile.serial().map(SerialLine::baud).orElse(9600);
        int baud = options.whole("baud", own, MOST_BAUD);
        int firstId = options.whole("first-id", 1, MOST_ID);
        List<SimulatedLine.Station> stations = new ArrayList<>();
        for (int i = 0; i < heads; i++) {
            SerialVoice voice = voice(bus, firstId + i);
            stations.add(
                    new SimulatedLine.Station(
                            () -> Optional.of(voice), () -> baud, faults(Integer.toString(i + 1))));
        }
        Set<LineFault> whole = faults("");
        SimulatedLine line =
                new SimulatedLine(
                        bus ? SimulatedLine.Kind.BUS : SimulatedLine.Kind.CHAIN,
                        baud,
                        whole,
                        stations,
                        Timers.SHARED,
                        System::nanoTime,
                        1);
        InetSocketAddress place =
                new InetSocketAddress(at, options.port("serial-tcp", SERIAL_PORT));
        SerialServerEar ear =
                new SerialServerEar(
                        () -> List.of(line),
                        whole.contains(LineFault.TERMINAL),
                        Gate.open(Optional.empty()));
        return TcpPort.open(place, Protocol.VISCA_TCP, ear);
    }

    private SerialVoice voice(boolean bus, int id) {
        KnobBank bank = banks.get();
        SimulatedHead head = heads.apply(bank);
        return bus
                ? new BusVoice(
                        head,
                        bank,
                        profile.head().orElseThrow(),
                        DForm.D,
                        id,
                        options.text("tells").isPresent())
                : new ChainVoice(head, id);
    }

    /**
     * @param place of a device, counted from 1; empty for those of the whole line
     */
    private Set<LineFault> faults(String place) {
        Set<LineFault> here = EnumSet.noneOf(LineFault.class);
        for (String one : options.text("fault").orElse("").split(",", -1)) {
            String[] parts = one.split(":", 2);
            if (!one.isEmpty() && (parts.length == 1 ? "" : parts[1]).equals(place)) {
                here.add(fault(parts[0]));
            }
        }
        return here;
    }

    private static LineFault fault(String name) {
        try {
            return LineFault.valueOf(name.toUpperCase(Locale.ROOT).replace('-', '_'));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("no fault is called \"" + name + "\"", e);
        }
    }
}
