package app.jerboa.core.bringup;

import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Turns an order of work into steps: hops where the laptop must move, and a look at each device
 * after its first boot and after its restart, before anything that counts on it.
 */
final class Stepping {
    private final List<NewDevice> devices;
    private final List<Chain> chains;
    private final LaptopAddress home;
    private final List<LaptopAddress> places;
    private final BringUpMethod method;
    private final List<Step> steps = new ArrayList<>();
    private final Map<Integer, List<Integer>> rivals = new HashMap<>();

    /** Restarting on an address that is no rival's any more. */
    private final Set<Integer> leaving = new HashSet<>();

    /** Restarting on their planned address. */
    private final Set<Integer> settling = new HashSet<>();

    private final Set<Integer> unseen = new HashSet<>();
    private final int[] next;
    private LaptopAddress laptop;

    Stepping(
            List<NewDevice> devices,
            List<Chain> chains,
            LaptopAddress home,
            List<LaptopAddress> places,
            BringUpMethod method) {
        this.devices = devices;
        this.chains = chains;
        this.home = home;
        this.places = places;
        this.method = method;
        this.laptop = home;
        this.next = new int[chains.size()];
        for (int i = 0; i < chains.size(); i++) {
            rivals.computeIfAbsent(chains.get(i).rivals(), g -> new ArrayList<>()).add(i);
            boolean set = devices.get(i).progress().done().contains(Work.SET);
            if (set && !devices.get(i).progress().done().contains(Work.VERIFY)) {
                leaving.add(i);
                settling.add(i);
            }
        }
    }

    /**
     * @param order the chain whose next task is done, time after time
     * @param hops verification is at the very end, with the laptop home
     */
    List<Step> all(List<Integer> order, boolean hops) {
        if (!hops) {
            places.forEach(p -> steps.add(new Step(Step.Kind.ALIAS, Optional.empty(), p)));
        }
        if (method == BringUpMethod.PORT) {
            plugAllWithPortsOff();
        }
        order.forEach(this::take);
        if (hops) {
            goHome();
            for (int i = 0; i < chains.size(); i++) {
                seeRestarted(i);
            }
            devices.forEach(d -> step(Step.Kind.VERIFY, d.id()));
        }
        return steps;
    }

    /** One device after the other, with a hop out and a hop home for each. */
    List<Step> each(List<Integer> order, List<Ipv4Subnet> subnets) {
        for (int i : order) {
            NewDevice d = devices.get(i);
            Optional<LaptopAddress> out =
                    d.start()
                            .filter(s -> !d.atHome())
                            .map(s -> subnets.indexOf(s.subnet()))
                            .filter(n -> n >= 0)
                            .map(places::get);
            for (Task task : chains.get(i).tasks()) {
                if (task.work() == Work.VERIFY) {
                    goHome();
                } else {
                    out.ifPresent(this::goOut);
                }
                take(i);
            }
        }
        return steps;
    }

    private void plugAllWithPortsOff() {
        for (NewDevice d : devices) {
            Set<Work> done = d.progress().done();
            if (d.switchedPort() && !done.contains(Work.PLUG) && !done.contains(Work.PORT)) {
                step(Step.Kind.PLUG_OFF, d.id());
            }
        }
    }

    private void take(int i) {
        Task task = chains.get(i).tasks().get(next[i]);
        DeviceId device = devices.get(i).id();
        move(task);
        if (next[i] == chains.get(i).opens()) {
            seeRivalsGone(i);
        }
        if (task.work() == Work.VERIFY) {
            seeRestarted(i);
        }
        seeFirst(i, task.work());
        step(kind(task.work()), device);
        if (task.work() == Work.PLUG || task.work() == Work.PORT) {
            unseen.add(i);
        }
        if (next[i] == chains.get(i).frees()) {
            leaving.add(i);
        } else if (!task.besideBoot()) {
            leaving.remove(i);
        }
        if (task.work() == Work.SET) {
            settling.add(i);
        }
        next[i]++;
    }

    /** Right after its first boot it is looked at, before anything is done to it. */
    private void seeFirst(int i, Work work) {
        boolean fetched = devices.get(i).fetchedBy().contains(work);
        if (work != Work.LABEL && unseen.remove(i) && !fetched) {
            step(Step.Kind.SEE, devices.get(i).id());
        }
    }

    private void move(Task task) {
        if (task.place() == Task.HOME) {
            goHome();
        } else if (task.place() > 0) {
            goOut(places.get(task.place() - 1));
        }
    }

    private void goOut(LaptopAddress to) {
        if (!laptop.equals(to)) {
            laptop = to;
            steps.add(new Step(Step.Kind.HOP_OUT, Optional.empty(), to));
        }
    }

    private void goHome() {
        if (!laptop.equals(home)) {
            laptop = home;
            steps.add(new Step(Step.Kind.HOP_HOME, Optional.empty(), home));
        }
    }

    /** What this one counts on: its rivals that were set before, and what it hangs on. */
    private void seeRivalsGone(int i) {
        Chain chain = chains.get(i);
        if (chain.rivals() >= 0) {
            rivals.get(chain.rivals()).stream().filter(leaving::contains).forEach(this::seeGone);
        }
        chain.after().forEach(this::seeRestarted);
    }

    private void seeRestarted(int i) {
        if (settling.contains(i)) {
            seeGone(i);
        }
    }

    private void seeGone(int i) {
        leaving.remove(i);
        settling.remove(i);
        step(Step.Kind.RESTART, devices.get(i).id());
    }

    private void step(Step.Kind kind, DeviceId device) {
        steps.add(new Step(kind, Optional.of(device), laptop));
    }

    private static Step.Kind kind(Work work) {
        return switch (work) {
            case PLUG -> Step.Kind.PLUG;
            case PORT -> Step.Kind.PORT;
            case RESET -> Step.Kind.RESET;
            case UPDATE -> Step.Kind.UPDATE;
            case LEASE -> Step.Kind.LEASE;
            case SEARCH -> Step.Kind.SEARCH;
            case PAIR -> Step.Kind.PAIR;
            case SET -> Step.Kind.SET;
            case LABEL -> Step.Kind.LABEL;
            case VERIFY -> Step.Kind.VERIFY;
            case HOP, ALIAS -> throw new IllegalArgumentException(work + " is the laptop's");
        };
    }
}
