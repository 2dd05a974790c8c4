package app.jerboa.standin.lan;

import app.jerboa.core.net.Ipv4;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One simulated hall: devices on one LAN and the technician's laptop. */
public final class Hall {
    private final Map<String, RigDevice> devices = new LinkedHashMap<>();
    private NetworkSettings laptop;

    public Hall(NetworkSettings laptop) {
        this.laptop = laptop;
    }

    public synchronized NetworkSettings laptop() {
        return laptop;
    }

    public synchronized void moveLaptop(NetworkSettings next) {
        laptop = next;
    }

    public synchronized void add(RigDevice device) {
        devices.put(device.id(), device);
    }

    /** Takes devices out that are no longer part of the job. */
    public synchronized void keepOnly(Collection<String> ids) {
        devices.values().stream().filter(d -> !ids.contains(d.id())).forEach(RigDevice::unplug);
        devices.keySet().retainAll(ids);
    }

    public synchronized List<RigDevice> devices() {
        return List.copyOf(devices.values());
    }

    public synchronized Optional<RigDevice> device(String id) {
        return Optional.ofNullable(devices.get(id));
    }

    /** The laptop has that address within its own subnet, so it does not ask a gateway. */
    public boolean onLink(Ipv4 address) {
        return laptop().onLink(address);
    }

    /**
     * Who would answer to an address from this laptop: nobody, one, or several that fight. Both
     * sides must see the other on their own subnet.
     */
    public List<RigDevice> answering(Ipv4 address) {
        NetworkSettings from = laptop();
        if (!from.onLink(address)) {
            return List.of();
        }
        return devices().stream()
                .filter(d -> d.settings().address().equals(address))
                .filter(d -> d.settings().onLink(from.address()))
                .filter(d -> d.phase() == RigDevice.Phase.UP)
                .toList();
    }
}
