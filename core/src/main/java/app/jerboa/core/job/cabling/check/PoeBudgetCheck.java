package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PoeBudget;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Made;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/** Each switch: can it feed what hangs on it, with all heads moving, and by class? */
final class PoeBudgetCheck {
    private static final int MOST_ROOMS = 6;

    private static final Parts READS = Parts.of(ItemKind.SITE, ItemKind.DEVICE, ItemKind.RUN);

    private final CablingPlan plan;

    /** Those with most watts left: a fix looks no further, so that many switches stay quick. */
    private final List<PoeBudget> roomy;

    private PoeBudgetCheck(CablingPlan plan, List<PoeBudget> budgets) {
        this.plan = plan;
        roomy =
                budgets.stream()
                        .filter(b -> spare(b) > 0)
                        .sorted(Comparator.comparingDouble(PoeBudgetCheck::spare).reversed())
                        .limit(MOST_ROOMS)
                        .toList();
    }

    private static double spare(PoeBudget b) {
        return b.allowedWatts() - b.movingWatts();
    }

    /**
     * What was found, with all that a fix looked at beside the budget itself.
     *
     * @param plugged what is in the sockets of the roomy ones
     */
    private record Found(
            List<PoeBudget> roomy, List<List<Link>> plugged, Made<PoeBudget, List<Finding>> at) {
        @SuppressWarnings("ReferenceEquality") // What nothing touched is the same object.
        boolean offers(List<PoeBudget> roomyNow, List<List<Link>> pluggedNow) {
            boolean same = roomy.size() == roomyNow.size();
            for (int i = 0; same && i < roomy.size(); i++) {
                same = roomy.get(i) == roomyNow.get(i) && plugged.get(i) == pluggedNow.get(i);
            }
            return same;
        }
    }

    /** What was found at a budget stands while neither it nor the switches with room are others. */
    static List<Finding> of(CablingPlan plan) {
        return plan
                .job()
                .workedAfter(PoeBudgetCheck.class, READS, Found.class, before -> of(plan, before))
                .at()
                .to()
                .stream()
                .flatMap(List::stream)
                .toList();
    }

    private static Found of(CablingPlan plan, Optional<Found> before) {
        List<PoeBudget> budgets = PoeBudget.all(plan.power());
        PoeBudgetCheck check = new PoeBudgetCheck(plan, budgets);
        List<List<Link>> plugged =
                check.roomy.stream().map(b -> plan.cabling().at(b.source().id())).toList();
        return new Found(
                check.roomy,
                plugged,
                Made.kept(
                        budgets,
                        before.filter(f -> f.offers(check.roomy, plugged)).map(Found::at),
                        (b, instead) -> check.found(b)));
    }

    private List<Finding> found(PoeBudget b) {
        List<Finding> found = new ArrayList<>();
        if (b.over()) {
            found.add(sum(b, CablingCodes.BUDGET, b.shed()));
        } else if (b.tight()) {
            found.add(sum(b, CablingCodes.HEADROOM, List.of()));
        }
        if (!b.refused().isEmpty() && !b.over()) {
            found.add(about(b, CablingCodes.RESERVE, b.refused()));
        }
        return found;
    }

    private Finding about(PoeBudget b, FindingCode code, List<Feed> named) {
        Map<String, String> facts = new TreeMap<>();
        facts.put("device", b.source().name());
        facts.put("count", Integer.toString(b.feeds().size()));
        facts.put("watts", CablingPlan.one(b.movingWatts()));
        facts.put("budget", CablingPlan.one(b.budgetWatts()));
        facts.put("allowed", CablingPlan.one(b.allowedWatts()));
        facts.put("reserved", CablingPlan.one(b.reservedWatts()));
        facts.put("devices", CablingPlan.names(named.stream().map(Feed::load).toList()));
        List<DeviceId> devices =
                Stream.concat(
                                Stream.of(b.source().id()),
                                b.feeds().stream().map(f -> f.load().id()))
                        .toList();
        return Finding.of(code, devices, Field.POE_ON, facts);
    }

    private Finding sum(PoeBudget b, FindingCode code, List<Feed> shed) {
        return about(b, code, shed)
                .withFixes(Stream.of(moved(b), local(b)).flatMap(Optional::stream).toList());
    }

    /** The largest first, to whichever other switch has most left; empty when not enough fits. */
    private Optional<Fix> moved(PoeBudget from) {
        if (roomy.isEmpty()) {
            return Optional.empty();
        }
        List<Room> rooms =
                roomy.stream()
                        .filter(b -> !b.source().id().equals(from.source().id()))
                        .map(b -> new Room(plan, b))
                        .toList();
        List<Edit> edits = new ArrayList<>();
        double left = from.movingWatts();
        for (Feed f : largest(from)) {
            Optional<Room> room =
                    left > from.allowedWatts()
                            ? rooms.stream()
                                    .filter(r -> r.takes(f))
                                    .max(Comparator.comparingDouble(Room::spare))
                            : Optional.empty();
            if (room.isPresent()) {
                edits.addAll(replugged(f, room.get().give(f)));
                left -= f.givenWatts();
            }
        }
        return left > from.allowedWatts()
                ? Optional.empty()
                : Optional.of(Fix.editing("move-to-switch", edits));
    }

    private static List<Feed> largest(PoeBudget b) {
        return b.feeds().stream()
                .sorted(Comparator.comparingDouble(Feed::givenWatts).reversed())
                .toList();
    }

    private static List<Edit> replugged(Feed f, Link.Plug port) {
        Run run = f.link().run();
        boolean from = f.link().from().equals(f.port());
        return List.of(
                CablingPlan.edit(
                        run, from ? Field.RUN_FROM : Field.RUN_TO, port.device().id().toString()),
                CablingPlan.edit(
                        run, from ? Field.FROM_PORT : Field.TO_PORT, port.socket().name()));
    }

    /** The fewest that have a plug for a supply of their own. */
    private Optional<Fix> local(PoeBudget b) {
        List<Edit> edits = new ArrayList<>();
        double left = b.movingWatts();
        for (Feed f : largest(b)) {
            if (left > b.allowedWatts() && takesDc(f.load())) {
                edits.add(CablingPlan.edit(f.link().run(), Field.POE_ON, "false"));
                left -= f.givenWatts();
            }
        }
        return left > b.allowedWatts()
                ? Optional.empty()
                : Optional.of(Fix.editing("local-supply", edits));
    }

    private static boolean takesDc(Device d) {
        return d.profile().draw().filter(x -> x.volts().isPresent()).isPresent();
    }

    /** What another switch still has: ports in their order, and watts. */
    private static final class Room {
        private final PoeBudget budget;
        private final List<Link.Plug> ports;
        private double spare;

        Room(CablingPlan plan, PoeBudget budget) {
            this.budget = budget;
            spare = PoeBudgetCheck.spare(budget);
            ports =
                    new ArrayList<>(
                            plan.cabling()
                                    .free(budget.source().id())
                                    .filter(PowerPlan::gives)
                                    .toList());
        }

        double spare() {
            return spare;
        }

        boolean takes(Feed f) {
            return !ports.isEmpty()
                    && f.givenWatts() <= spare
                    && f.watts() <= budget.port().deviceWatts();
        }

        Link.Plug give(Feed f) {
            spare -= f.givenWatts();
            return ports.remove(0);
        }
    }
}
