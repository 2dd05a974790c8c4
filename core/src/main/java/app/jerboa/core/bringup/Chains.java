package app.jerboa.core.bringup;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What each device needs by a method, as chains of work. */
final class Chains {
    private final List<NewDevice> devices;
    private final BringUpMethod method;
    private final boolean hops;
    private final StepTimes times;
    private final boolean bench;
    private final List<Ipv4Subnet> subnets;
    private final Map<Ipv4, Integer> groups = new HashMap<>();
    private final Map<DeviceId, Integer> indices = new HashMap<>();

    /**
     * @param hops the laptop goes to each factory subnet, instead of having addresses in all
     * @param bench in the workshop, with labels stuck on
     * @param subnets the factory subnets, in the order of their places
     */
    Chains(
            List<NewDevice> devices,
            BringUpMethod method,
            boolean hops,
            StepTimes times,
            boolean bench,
            List<Ipv4Subnet> subnets) {
        this.devices = devices;
        this.method = method;
        this.hops = hops;
        this.times = times;
        this.bench = bench;
        this.subnets = subnets;
        for (int i = 0; i < devices.size(); i++) {
            indices.put(devices.get(i).id(), i);
        }
    }

    List<Chain> all() {
        return devices.stream().map(this::chain).toList();
    }

    /** Whether a device can be reached by the method itself, or only as by a second address. */
    static boolean follows(NewDevice d, BringUpMethod method) {
        return switch (method) {
            case HOP, HOP_EACH, ALIAS -> true;
            case LEASE, SEARCH, PAIRING ->
                    d.start().isEmpty() || d.atHome() || d.fetched(method).isPresent();
            case PORT -> d.switchedPort();
        };
    }

    private Chain chain(NewDevice d) {
        List<Task> tasks = tasks(d);
        Work opening = byPort(d) ? Work.PORT : Work.PLUG;
        Work freeing = fetching(d).orElse(Work.SET);
        List<Integer> after =
                d.after().stream().filter(indices::containsKey).map(indices::get).sorted().toList();
        return new Chain(
                tasks,
                d.progress().bootLeft(),
                d.start().map(this::group).orElse(-1),
                index(tasks, opening),
                index(tasks, freeing),
                index(tasks, Work.SET),
                after);
    }

    private int group(FactoryAddress start) {
        return groups.computeIfAbsent(start.address(), a -> groups.size());
    }

    private static int index(List<Task> tasks, Work work) {
        for (int k = 0; k < tasks.size(); k++) {
            if (tasks.get(k).work() == work) {
                return k;
            }
        }
        return -1;
    }

    /** One that starts in the house's subnet need not be brought there. */
    private Optional<Work> fetching(NewDevice d) {
        return d.fetched(method).filter(w -> d.start().isPresent() && !d.atHome());
    }

    private boolean byPort(NewDevice d) {
        return method == BringUpMethod.PORT && d.switchedPort();
    }

    private List<Task> tasks(NewDevice d) {
        int boot = d.bootSeconds();
        int there = place(d);
        List<Task> tasks = new ArrayList<>();
        add(tasks, d, byPort(d) ? Work.PORT : Work.PLUG, boot, there);
        Set<Work> needs = d.needs();
        if (needs.contains(Work.RESET)) {
            add(tasks, d, Work.RESET, boot, there);
        }
        fetching(d).ifPresent(w -> add(tasks, d, w, boot, Task.ANYWHERE));
        if (needs.contains(Work.UPDATE)) {
            add(tasks, d, Work.UPDATE, boot, there);
        }
        add(tasks, d, Work.SET, boot, there);
        if (bench && !d.progress().done().contains(Work.LABEL)) {
            tasks.add(new Task(Work.LABEL, times.of(Work.LABEL), 0, Task.ANYWHERE, true));
        }
        if (!hops) {
            add(tasks, d, Work.VERIFY, 0, Task.ANYWHERE);
        }
        return tasks;
    }

    private void add(List<Task> tasks, NewDevice d, Work work, int boot, int place) {
        if (!d.progress().done().contains(work)) {
            tasks.add(new Task(work, times.of(work), boot, place, false));
        }
    }

    private int place(NewDevice d) {
        if (!hops) {
            return Task.ANYWHERE;
        }
        return d.start().isEmpty() || d.atHome()
                ? Task.HOME
                : 1 + subnets.indexOf(d.start().get().subnet());
    }
}
