package app.jerboa.core.bringup;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The ordered steps of a bring-up, and how long they take one technician. */
public record RunSheet(List<Step> steps) {
    public RunSheet {
        steps = List.copyOf(steps);
    }

    /**
     * Method HOP: the laptop hops to each factory subnet once, the devices there are done one after
     * the other so that no two rivals are ever connected, then it hops home and each is verified.
     *
     * @param devices in line order
     * @param home the laptop's address in the house subnet
     * @throws IllegalArgumentException when a factory subnet has no address left for the laptop
     */
    public static RunSheet hop(List<NewDevice> devices, LaptopAddress home) {
        Map<Ipv4Subnet, List<NewDevice>> bySubnet = new LinkedHashMap<>();
        for (NewDevice d : devices) {
            bySubnet.computeIfAbsent(d.factory().subnet(), s -> new ArrayList<>()).add(d);
        }
        List<Step> steps = new ArrayList<>();
        bySubnet.forEach((subnet, here) -> steps.addAll(out(subnet, here, devices)));
        if (!devices.isEmpty()) {
            comeHome(steps, home);
            devices.forEach(d -> steps.add(step(Step.Kind.VERIFY, d, home)));
        }
        return new RunSheet(steps);
    }

    private static List<Step> out(
            Ipv4Subnet subnet, List<NewDevice> here, List<NewDevice> everyone) {
        LaptopAddress laptop =
                LaptopAddress.in(subnet, inUse(everyone))
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "no laptop address left in " + subnet));
        List<Step> steps = new ArrayList<>();
        steps.add(new Step(Step.Kind.HOP_OUT, Optional.empty(), laptop));
        for (NewDevice d : here) {
            steps.add(step(Step.Kind.PLUG, d, laptop));
            steps.add(step(Step.Kind.SEE, d, laptop));
            steps.add(step(Step.Kind.SET, d, laptop));
            steps.add(step(Step.Kind.RESTART, d, laptop));
        }
        return steps;
    }

    /** The hop home is done while the last device restarts, so it comes before that wait. */
    private static void comeHome(List<Step> steps, LaptopAddress home) {
        Step lastWait = steps.remove(steps.size() - 1);
        steps.add(new Step(Step.Kind.HOP_HOME, Optional.empty(), home));
        steps.add(new Step(lastWait.kind(), lastWait.device(), home));
    }

    private static Step step(Step.Kind kind, NewDevice device, LaptopAddress laptop) {
        return new Step(kind, Optional.of(device.id()), laptop);
    }

    private static Set<Ipv4> inUse(List<NewDevice> devices) {
        Set<Ipv4> inUse = new HashSet<>();
        for (NewDevice d : devices) {
            inUse.add(d.factory().address());
            inUse.add(d.planned());
            d.factory().gateway().ifPresent(inUse::add);
        }
        return inUse;
    }

    /**
     * Seconds from the start of step {@code from} (0 is the first) to the end: the technician's own
     * time, and boots that nothing else can be done beside.
     *
     * @param running seconds left of boots that are under way now
     */
    public int secondsFrom(
            int from,
            StepTimes times,
            Map<DeviceId, Integer> bootSeconds,
            Map<DeviceId, Integer> running) {
        int now = 0;
        Map<DeviceId, Integer> readyAt = new HashMap<>(running);
        for (Step step : steps.subList(Math.min(from, steps.size()), steps.size())) {
            int ready = step.device().map(d -> readyAt.getOrDefault(d, 0)).orElse(0);
            now =
                    switch (step.kind()) {
                        case HOP_OUT, HOP_HOME -> now + times.hop();
                        case PLUG -> now + times.plug();
                        case SET -> now + times.set();
                        case SEE, RESTART -> Math.max(now, ready);
                        case VERIFY -> Math.max(now, ready) + times.verify();
                    };
            if (step.kind() == Step.Kind.PLUG || step.kind() == Step.Kind.SET) {
                DeviceId id = step.device().orElseThrow();
                readyAt.put(id, now + bootSeconds.getOrDefault(id, 0));
            }
        }
        return now;
    }
}
