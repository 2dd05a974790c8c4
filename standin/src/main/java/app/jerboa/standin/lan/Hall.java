package app.jerboa.standin.lan;

import app.jerboa.core.net.Ipv4;
import app.jerboa.standin.Rig;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.serial.SimulatedLine;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** One simulated hall: devices on one LAN and the technician's laptop. */
public final class Hall {
    private final Map<String, RigDevice> devices = new LinkedHashMap<>();
    private final Map<Rig.Lead, SimulatedLine> lines = new LinkedHashMap<>();
    private NetworkSettings laptop;
    private List<NetworkSettings> also = List.of();

    public Hall(NetworkSettings laptop) {
        this.laptop = laptop;
    }

    public synchronized NetworkSettings laptop() {
        return laptop;
    }

    /** A new address takes the place of all it had. */
    public synchronized void moveLaptop(NetworkSettings next) {
        laptop = next;
        also = List.of();
    }

    /** Addresses the laptop has beside its own. */
    public synchronized List<NetworkSettings> also() {
        return also;
    }

    public synchronized void addToLaptop(NetworkSettings more) {
        also = Stream.concat(also.stream(), Stream.of(more)).distinct().toList();
    }

    private synchronized Optional<NetworkSettings> laptopNear(Ipv4 address) {
        return Stream.concat(Stream.of(laptop), also.stream())
                .filter(own -> own.onLink(address))
                .findFirst();
    }

    public synchronized void add(RigDevice device) {
        devices.put(device.id(), device);
    }

    /** Takes devices out that are no longer part of the job. */
    public synchronized void keepOnly(Collection<String> ids) {
        devices.values().stream().filter(d -> !ids.contains(d.id())).forEach(RigDevice::unplug);
        devices.keySet().retainAll(ids);
    }

    /** Puts the serial leads in their places; one that is as it was keeps what is on its way. */
    public synchronized void hang(List<Rig.Lead> wanted) {
        lines.keySet().retainAll(wanted);
        wanted.forEach(lead -> lines.computeIfAbsent(lead, this::line));
    }

    private SimulatedLine line(Rig.Lead lead) {
        return new SimulatedLine(
                lead.bus() ? SimulatedLine.Kind.BUS : SimulatedLine.Kind.CHAIN,
                lead.baud(),
                Set.of(),
                lead.stations().stream().map(this::station).toList(),
                Timers.SHARED,
                System::nanoTime,
                1);
    }

    private SimulatedLine.Station station(String id) {
        return new SimulatedLine.Station(
                () -> device(id).flatMap(RigDevice::voice),
                () -> device(id).map(RigDevice::baud).orElse(0),
                Set.of());
    }

    public synchronized List<Rig.Lead> leads() {
        return List.copyOf(lines.keySet());
    }

    /** What hangs on the serial ports of a server. */
    public synchronized List<SimulatedLine> linesOf(String server) {
        return lines.entrySet().stream()
                .filter(e -> e.getKey().server().equals(server))
                .map(Map.Entry::getValue)
                .toList();
    }

    public synchronized List<RigDevice> devices() {
        return List.copyOf(devices.values());
    }

    public synchronized Optional<RigDevice> device(String id) {
        return Optional.ofNullable(devices.get(id));
    }

    /** The laptop has that address within its own subnet, so it does not ask a gateway. */
    public boolean onLink(Ipv4 address) {
        return laptopNear(address).isPresent();
    }

    /**
     * The devices that would answer to an address from this laptop: none, one, or several that
     * fight. Both sides must see the other on their own subnet.
     */
    public List<RigDevice> answering(Ipv4 address) {
        Optional<NetworkSettings> near = laptopNear(address);
        if (near.isEmpty()) {
            return List.of();
        }
        NetworkSettings from = near.get();
        return devices().stream()
                .filter(d -> d.settings().address().equals(address))
                .filter(d -> d.settings().onLink(from.address()))
                .filter(d -> d.phase() == RigDevice.Phase.UP)
                .toList();
    }
}
