package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.power.PoeClass;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.value.Made;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What one switch or injector gives over Ethernet, both ways of counting.
 *
 * @param budgetWatts by its profile
 * @param allowedWatts of it, with the house's headroom kept free
 * @param movingWatts delivered with every head moving, losses included
 * @param idleWatts delivered at rest
 * @param reservedWatts set aside by class
 * @param refused ports that would be refused once classes are reserved in port order
 */
public record PoeBudget(
        Device source,
        List<Feed> feeds,
        PoeClass port,
        double budgetWatts,
        double allowedWatts,
        double movingWatts,
        double idleWatts,
        double reservedWatts,
        List<Feed> refused) {

    private static final Parts READS = Parts.of(ItemKind.SITE, ItemKind.DEVICE, ItemKind.RUN);

    /** With the feeds that it was worked out from. */
    private record Counted(PoeBudget budget, List<Feed> from) {}

    private record All(int headroom, Made<Device, Counted> counted) {}

    /**
     * Of every device that gives power over Ethernet, in their order; one that is as in the job
     * before is the very same object.
     */
    public static List<PoeBudget> all(PowerPlan plan) {
        return plan
                .cabling()
                .job()
                .workedAfter(PoeBudget.class, READS, All.class, before -> all(plan, before))
                .counted()
                .to()
                .stream()
                .map(Counted::budget)
                .toList();
    }

    private static All all(PowerPlan plan, Optional<All> before) {
        Job job = plan.cabling().job();
        int headroom = job.site().habits().powerHeadroom();
        return new All(
                headroom,
                Made.of(
                        Sources.of(job).overEthernet(),
                        before.filter(b -> b.headroom == headroom).map(All::counted),
                        (d, was) -> counted(plan, d, was)));
    }

    @SuppressWarnings("ReferenceEquality") // Feeds that nothing touched are the same list.
    private static Counted counted(PowerPlan plan, Device source, Counted before) {
        List<Feed> from = plan.from(source.id());
        return before != null && before.from == from
                ? before
                : new Counted(of(plan, source).orElseThrow(), from);
    }

    /** Empty for what gives none. */
    public static Optional<PoeBudget> of(PowerPlan plan, Device source) {
        return source.profile().gives().filter(Sources::overEthernet).map(g -> of(plan, source, g));
    }

    private static PoeBudget of(PowerPlan plan, Device source, PowerSource gives) {
        List<Feed> feeds =
                plan.from(source.id()).stream().filter(f -> f.over() == PowerOver.POE).toList();
        PoeClass port = PoeClass.of(gives.poeClass().orElse(3));
        int headroom = plan.cabling().job().site().habits().powerHeadroom();
        double reserved = 0;
        List<Feed> refused = new ArrayList<>();
        for (Feed f : feeds) {
            if (reserved + f.reserved(port) > gives.budgetWatts()) {
                refused.add(f);
            }
            reserved += f.reserved(port);
        }
        return new PoeBudget(
                source,
                feeds,
                port,
                gives.budgetWatts(),
                gives.budgetWatts() * (100 - headroom) / 100,
                feeds.stream().mapToDouble(Feed::givenWatts).sum(),
                feeds.stream().mapToDouble(Feed::givenIdle).sum(),
                reserved,
                refused);
    }

    public boolean over() {
        return movingWatts > budgetWatts;
    }

    public boolean tight() {
        return movingWatts > allowedWatts;
    }

    /** Whom it would drop, first one first, until the rest fits: the last port goes first. */
    public List<Feed> shed() {
        List<Feed> shed = new ArrayList<>();
        double left = movingWatts;
        for (int i = feeds.size() - 1; i >= 0 && left > budgetWatts; i--) {
            shed.add(feeds.get(i));
            left -= feeds.get(i).givenWatts();
        }
        return shed;
    }

    /**
     * The fewest feeds whose going elsewhere leaves the rest within what is allowed: the largest.
     */
    public List<Feed> fewestToMove() {
        List<Feed> largest =
                feeds.stream()
                        .sorted(Comparator.comparingDouble(Feed::givenWatts).reversed())
                        .toList();
        List<Feed> moved = new ArrayList<>();
        double left = movingWatts;
        for (Feed f : largest) {
            if (left <= allowedWatts) {
                break;
            }
            moved.add(f);
            left -= f.givenWatts();
        }
        return moved;
    }
}
