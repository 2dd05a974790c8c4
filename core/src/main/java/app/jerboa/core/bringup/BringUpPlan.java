package app.jerboa.core.bringup;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Bringing devices up by one method: its run sheet and its time.
 *
 * @param bench in the workshop, with labels stuck on
 * @param otherwise devices that this method cannot reach; they are reached as by a second address
 * @param seconds from the first step to the last
 * @param exact no order by this method takes less time; else a good one for many devices, or one
 *     where a device starts in the house's own subnet, which binds the laptop to be home: that
 *     these hops are the fewest is not proved
 */
public record BringUpPlan(
        BringUpMethod method,
        boolean bench,
        RunSheet sheet,
        List<DeviceId> otherwise,
        int seconds,
        boolean exact) {

    /**
     * @param devices in line order
     * @param home the laptop's address in the house
     * @throws IllegalArgumentException when a factory subnet has no address left for the laptop, or
     *     when devices wait for each other in a ring ({@link WaitingRing} tells before)
     */
    public static BringUpPlan of(
            BringUpMethod method,
            boolean bench,
            List<NewDevice> devices,
            LaptopAddress home,
            StepTimes times) {
        BringUpPlan plan = of(method, method == BringUpMethod.HOP, bench, devices, home, times);
        if (method != BringUpMethod.PORT) {
            return plan;
        }
        BringUpPlan hopping = of(method, true, bench, devices, home, times);
        return hopping.seconds() <= plan.seconds() ? hopping : plan;
    }

    private static BringUpPlan of(
            BringUpMethod method,
            boolean hops,
            boolean bench,
            List<NewDevice> devices,
            LaptopAddress home,
            StepTimes times) {
        Map<Ipv4Subnet, LaptopAddress> places = places(devices, method, home);
        List<Ipv4Subnet> subnets = List.copyOf(places.keySet());
        List<Chain> chains = new Chains(devices, method, hops, times, bench, subnets).all();
        Problem problem = new Problem(chains, times.of(Work.HOP), hops ? times.of(Work.VERIFY) : 0);
        boolean each = method == BringUpMethod.HOP_EACH;
        Exact.Found found = each ? new Exact.Found(oneByOne(chains), true) : order(problem);
        List<Integer> order = found.order();
        Stepping stepping =
                new Stepping(devices, chains, home, List.copyOf(places.values()), method);
        RunSheet sheet =
                new RunSheet(each ? stepping.each(order, subnets) : stepping.all(order, hops));
        return new BringUpPlan(
                method,
                bench,
                sheet,
                devices.stream()
                        .filter(d -> !Chains.follows(d, method))
                        .map(NewDevice::id)
                        .toList(),
                sheet.secondsFrom(0, times, boots(devices), running(devices)),
                found.proved() && !(hops && devices.stream().anyMatch(NewDevice::atHome)));
    }

    private static Exact.Found order(Problem problem) {
        List<Integer> good = Greedy.order(problem);
        return problem.chains().size() <= Exact.MOST
                ? Exact.order(problem, good)
                : new Exact.Found(good, false);
    }

    /** Chains whole, one after the other, each after those it waits for, else as they come. */
    private static List<Integer> oneByOne(List<Chain> chains) {
        List<Integer> order = new ArrayList<>();
        Set<Integer> placed = new HashSet<>();
        while (placed.size() < chains.size()) {
            int next =
                    IntStream.range(0, chains.size())
                            .filter(i -> !placed.contains(i))
                            .filter(i -> placed.containsAll(chains.get(i).after()))
                            .findFirst()
                            .orElseThrow(
                                    () ->
                                            new IllegalArgumentException(
                                                    "devices wait for each other in a ring"));
            placed.add(next);
            order.add(next);
        }
        return order;
    }

    private static Map<DeviceId, Integer> boots(List<NewDevice> devices) {
        Map<DeviceId, Integer> boots = new LinkedHashMap<>();
        devices.forEach(d -> boots.put(d.id(), d.bootSeconds()));
        return boots;
    }

    private static Map<DeviceId, Integer> running(List<NewDevice> devices) {
        Map<DeviceId, Integer> running = new LinkedHashMap<>();
        devices.forEach(d -> running.put(d.id(), d.progress().bootLeft()));
        return running;
    }

    /** The laptop's address in every factory subnet the method takes it to, in line order. */
    private static Map<Ipv4Subnet, LaptopAddress> places(
            List<NewDevice> devices, BringUpMethod method, LaptopAddress home) {
        Set<Ipv4> used = new HashSet<>();
        used.add(home.address());
        for (NewDevice d : devices) {
            used.add(d.planned());
            d.start().map(FactoryAddress::address).ifPresent(used::add);
            d.start().flatMap(FactoryAddress::gateway).ifPresent(used::add);
        }
        Map<Ipv4Subnet, LaptopAddress> places = new LinkedHashMap<>();
        for (NewDevice d : devices) {
            boolean hopped = d.fetched(method).isEmpty();
            boolean still = !d.progress().done().contains(Work.SET);
            if (d.start().isPresent() && !d.atHome() && hopped && still) {
                places.computeIfAbsent(d.start().get().subnet(), s -> laptop(s, used));
            }
        }
        return places;
    }

    private static LaptopAddress laptop(Ipv4Subnet subnet, Set<Ipv4> used) {
        return LaptopAddress.in(subnet, used)
                .orElseThrow(
                        () -> new IllegalArgumentException("no laptop address left in " + subnet));
    }
}
