package app.jerboa.standin.lan;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.serial.LineFault;
import app.jerboa.standin.serial.SerialVoice;
import app.jerboa.standin.serial.SimulatedLine;
import app.jerboa.wire.octets.Octets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Consumer;
import java.util.function.Function;

/** The chains and buses that the plugged leads make, each a line that octets go over. */
final class SerialLeads {
    /**
     * One as it lies.
     *
     * @param stations from the one that drives it on, with what is wrong before each
     */
    private record Laid(
            DeviceId driver,
            boolean bus,
            int baud,
            List<DeviceId> stations,
            List<Set<LineFault>> wrong) {}

    private final Function<DeviceId, Optional<RigDevice>> devices;
    private final BiPredicate<DeviceId, DeviceId> joined;
    private final Map<Laid, SimulatedLine> lines = new LinkedHashMap<>();

    /**
     * @param joined one reaches the other over the network
     */
    SerialLeads(
            Function<DeviceId, Optional<RigDevice>> devices,
            BiPredicate<DeviceId, DeviceId> joined) {
        this.devices = devices;
        this.joined = joined;
    }

    /** A line that lies as it did keeps what is on its way. */
    void lay(Cabling plugged, Function<Link, Optional<RunFault>> faults) {
        List<Laid> now = new ArrayList<>();
        for (ChainOrBus line : ChainOrBus.all(plugged)) {
            line.driver().ifPresent(d -> now.add(laid(line, d, faults)));
        }
        lines.keySet().retainAll(now);
        now.forEach(l -> lines.computeIfAbsent(l, this::line));
    }

    private Laid laid(ChainOrBus line, Device driver, Function<Link, Optional<RunFault>> faults) {
        boolean bus = line.signal() == Signal.RS_485;
        List<DeviceId> stations = new ArrayList<>();
        List<Set<LineFault>> wrong = new ArrayList<>();
        boolean cut = false;
        for (Device d : line.stations()) {
            if (d.id().equals(driver.id())) {
                continue;
            }
            Set<LineFault> here = EnumSet.noneOf(LineFault.class);
            line.links().stream()
                    .filter(l -> l.load().of(d.id()) || bus && l.beyond(d.id()).of(driver.id()))
                    .flatMap(l -> faults.apply(l).stream())
                    .forEach(f -> here.add(fault(f)));
            cut |= here.contains(LineFault.BROKEN);
            if (bus && cut) {
                here.add(LineFault.BROKEN);
            }
            stations.add(d.id());
            wrong.add(here);
        }
        int baud = devices.apply(driver.id()).map(RigDevice::baud).orElse(0);
        return new Laid(driver.id(), bus, Math.max(1, baud), stations, wrong);
    }

    private static LineFault fault(RunFault f) {
        return switch (f) {
            case MIS_PINNED, BROKEN -> LineFault.BROKEN;
            case CROSSED -> LineFault.PAIR_SWAPPED;
            case TURNED -> LineFault.REVERSED;
            case NOISY -> LineFault.NOISY;
            case ONE_WAY -> LineFault.ONE_WAY;
        };
    }

    private SimulatedLine line(Laid laid) {
        List<SimulatedLine.Station> stations = new ArrayList<>();
        for (int i = 0; i < laid.stations().size(); i++) {
            stations.add(station(laid.stations().get(i), laid.baud(), laid.wrong().get(i)));
        }
        return new SimulatedLine(
                laid.bus() ? SimulatedLine.Kind.BUS : SimulatedLine.Kind.CHAIN,
                laid.baud(),
                Set.of(),
                stations,
                Timers.SHARED,
                System::nanoTime,
                1);
    }

    private SimulatedLine.Station station(DeviceId id, int baud, Set<LineFault> wrong) {
        if (devices.apply(id).filter(SerialLeads::encodes).isPresent()) {
            SerialVoice across = (octets, talk) -> across(id, octets, talk);
            return new SimulatedLine.Station(() -> Optional.of(across), () -> baud, wrong);
        }
        return new SimulatedLine.Station(
                () -> devices.apply(id).flatMap(RigDevice::voice),
                () -> devices.apply(id).map(RigDevice::baud).orElse(0),
                wrong);
    }

    private static boolean encodes(RigDevice d) {
        return d.profile().sort() == Sort.ENCODER;
    }

    /** What goes into the serial port of an encoder comes out at every decoder that it reaches. */
    private Octets across(DeviceId encoder, Octets octets, Consumer<Octets> talk) {
        decoders(encoder).forEach(d -> of(d).forEach(line -> line.say(octets, talk)));
        return Octets.of();
    }

    private List<DeviceId> decoders(DeviceId encoder) {
        return lines.keySet().stream()
                .map(Laid::driver)
                .filter(d -> devices.apply(d).filter(SerialLeads::decodes).isPresent())
                .filter(d -> joined.test(encoder, d))
                .distinct()
                .toList();
    }

    private static boolean decodes(RigDevice d) {
        return d.profile().sort() == Sort.DECODER && d.phase() == RigDevice.Phase.UP;
    }

    /** What hangs on the serial ports of one that drives. */
    List<SimulatedLine> of(DeviceId driver) {
        return lines.entrySet().stream()
                .filter(e -> e.getKey().driver().equals(driver))
                .map(Map.Entry::getValue)
                .toList();
    }

    /** Those that a controller sends a protocol over: each has its socket. */
    List<SimulatedLine> of(DeviceId driver, Protocol protocol) {
        return laid(driver, protocol).stream().map(lines::get).toList();
    }

    private List<Laid> laid(DeviceId driver, Protocol protocol) {
        List<Laid> own = lines.keySet().stream().filter(l -> l.driver().equals(driver)).toList();
        boolean chain = own.stream().anyMatch(l -> !l.bus());
        boolean overBus = protocol == Protocol.D_PROTOCOL || !chain;
        return own.stream().filter(l -> l.bus() == overBus).toList();
    }

    boolean quiet() {
        return lines.values().stream().allMatch(SimulatedLine::quiet);
    }

    /**
     * Whom a frame of this number moves: all of them on a bus, the first on a chain, up to where
     * the lead ends.
     */
    List<DeviceId> hearing(DeviceId driver, Protocol protocol, int number) {
        List<DeviceId> moved = new ArrayList<>();
        laid(driver, protocol).forEach(l -> hearing(l, protocol, number, moved));
        return moved;
    }

    private void hearing(Laid line, Protocol protocol, int number, List<DeviceId> moved) {
        for (int i = 0; i < line.stations().size(); i++) {
            Set<LineFault> wrong = line.wrong().get(i);
            Optional<RigDevice> d = devices.apply(line.stations().get(i));
            boolean cut = wrong.contains(LineFault.BROKEN) || wrong.contains(LineFault.REVERSED);
            if (d.filter(SerialLeads::encodes).isPresent() && !cut) {
                decoders(line.stations().get(i))
                        .forEach(x -> moved.addAll(hearing(x, protocol, number)));
                return;
            }
            boolean there = d.flatMap(RigDevice::voice).isPresent();
            boolean clear = line.baud() == d.map(RigDevice::baud).orElse(0);
            boolean ends = wrong.contains(LineFault.BROKEN) || wrong.contains(LineFault.REVERSED);
            if (!line.bus() && (ends || !there)) {
                return;
            }
            boolean hears =
                    there
                            && clear
                            && !ends
                            && !wrong.contains(LineFault.PAIR_SWAPPED)
                            && !wrong.contains(LineFault.NOISY)
                            && speaks(d.get(), protocol)
                            && d.get().condition().dials().number() == number;
            if (hears && Sticks.obeys(d.get())) {
                moved.add(line.stations().get(i));
            }
            boolean garbled = !clear || wrong.contains(LineFault.NOISY);
            if (!line.bus() && (hears || garbled || wrong.contains(LineFault.PAIR_SWAPPED))) {
                return;
            }
        }
    }

    private static boolean speaks(RigDevice d, Protocol protocol) {
        return d.profile().answers(protocol).isPresent()
                && d.condition().dials().mode().filter(m -> m != protocol).isEmpty();
    }
}
