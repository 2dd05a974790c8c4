package app.jerboa.standin.lan;

import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.value.DeviceId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/** What is switched on, and who has power because of it. */
final class Supplies implements Powering.Hands {
    /** As deep as power goes from a supply to the last device. */
    private static final int MOST_ROUNDS = 8;

    private final Function<DeviceId, RigDevice> devices;
    private final Map<Port, Port.State> ports = new HashMap<>();
    private final Set<DeviceId> on = new LinkedHashSet<>();
    private final Map<String, Double> spent = new LinkedHashMap<>();
    private Map<DeviceId, Powering.Power> powers = Map.of();

    Supplies(Function<DeviceId, RigDevice> devices) {
        this.devices = devices;
    }

    void supply(DeviceId id, boolean to) {
        if (to) {
            on.add(id);
        } else {
            on.remove(id);
        }
    }

    Port.State state(Port port) {
        return ports.getOrDefault(port, Port.State.ON);
    }

    /**
     * @throws IllegalStateException for a dead one that is to be switched
     */
    void put(Port port, Port.State state) {
        if (state(port) == Port.State.DEAD && state != Port.State.DEAD) {
            throw new IllegalStateException("that port is dead: nothing switches it on");
        }
        ports.put(port, state);
    }

    /** Somebody else's gear takes so many watts of what a device gives. */
    void spend(DeviceId source, double watts) {
        spent.put(source.toString(), watts);
    }

    Powering.Power of(DeviceId id) {
        return powers.getOrDefault(id, Powering.Power.off(""));
    }

    void retain(Set<DeviceId> there) {
        on.retainAll(there);
    }

    void clear() {
        ports.clear();
        on.clear();
        spent.clear();
    }

    /** Gives power to who gets it now, and takes it from the others, round by round. */
    void settle(PowerPlan plugged, Collection<RigDevice> all, Instant now) {
        boolean changed = true;
        for (int round = 0; round < MOST_ROUNDS && changed; round++) {
            powers = Powering.of(plugged, this);
            changed = false;
            for (RigDevice d : all) {
                changed |= settle(d, of(d.plan().id()), now);
            }
        }
    }

    /**
     * @return it is another than before, or its source has still to get power itself
     */
    private boolean settle(RigDevice d, Powering.Power power, Instant now) {
        if (!power.on()) {
            return d.power(Optional.empty());
        }
        Optional<Instant> from = start(power, now);
        return from.isEmpty() || d.power(from);
    }

    /** Power comes when its source has started; empty while that has none itself. */
    private Optional<Instant> start(Powering.Power p, Instant now) {
        return p.from().isEmpty()
                ? Optional.of(now)
                : devices.apply(p.from().get()).upAt().map(up -> up.isAfter(now) ? up : now);
    }

    @Override
    public boolean supply(DeviceId device) {
        return on.contains(device);
    }

    @Override
    public boolean moves(DeviceId device) {
        return Optional.ofNullable(devices.apply(device)).filter(RigDevice::moving).isPresent();
    }

    @Override
    public boolean port(Port at) {
        return state(at) == Port.State.ON;
    }

    @Override
    public double spent(DeviceId source) {
        return spent.getOrDefault(source.toString(), 0.0);
    }

    HallState.Power saved() {
        List<HallState.PortState> switched = new ArrayList<>();
        ports.forEach((p, s) -> switched.add(new HallState.PortState(p, s)));
        switched.sort(Comparator.comparing(p -> p.port().toString()));
        return new HallState.Power(switched, on.stream().sorted().toList(), new TreeMap<>(spent));
    }

    void restore(HallState.Power saved) {
        clear();
        saved.ports().forEach(p -> ports.put(p.port(), p.state()));
        on.addAll(saved.supplies());
        spent.putAll(saved.spent());
    }
}
