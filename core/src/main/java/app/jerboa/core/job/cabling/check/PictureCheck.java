package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PictureReach;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Video;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/** Picture leads and multicores no longer than they reach. */
final class PictureCheck {
    private PictureCheck() {}

    static List<Finding> at(CablingPlan plan, Link link) {
        Optional<Finding> found =
                link.signal() == Signal.MULTICORE
                        ? multicore(plan, link)
                        : PictureReach.of(plan.job(), link)
                                .filter(r -> link.run().metres() > r.longestMetres())
                                .map(r -> tooLong(plan, link, r));
        return found.map(List::of).orElse(List.of());
    }

    private static Finding tooLong(CablingPlan plan, Link link, PictureReach reach) {
        return plan.about(
                        link,
                        CablingCodes.PICTURE_LENGTH,
                        Field.METRES,
                        Map.of(
                                "cable", link.run().cable().toString(),
                                "format", reach.format(),
                                "longest", CablingPlan.one(reach.longestMetres())))
                .withFixes(better(plan, link));
    }

    /** The first cable of the signal that reaches; fibre always does. */
    private static List<Fix> better(CablingPlan plan, Link link) {
        return link.signal().cables().stream()
                .filter(c -> c != link.run().cable())
                .filter(c -> reaches(plan, link, c))
                .findFirst()
                .map(c -> List.of(EndsCheck.relaid(link.run(), c)))
                .orElse(List.of());
    }

    private static boolean reaches(CablingPlan plan, Link link, Cable cable) {
        return PictureReach.of(plan.job(), link, cable)
                .map(r -> link.run().metres() <= r.longestMetres())
                .orElse(true);
    }

    private static Optional<Finding> multicore(CablingPlan plan, Link link) {
        int reach =
                List.of(link.from(), link.to()).stream()
                        .flatMap(e -> e.device().profile().video().stream())
                        .map(Video::multicoreMetres)
                        .mapToInt(m -> m.orElse(Integer.MAX_VALUE))
                        .min()
                        .orElse(Integer.MAX_VALUE);
        OptionalInt longest =
                reach == Integer.MAX_VALUE ? OptionalInt.empty() : OptionalInt.of(reach);
        return longest.isPresent() && link.run().metres() > reach
                ? Optional.of(
                        plan.about(
                                link,
                                CablingCodes.PICTURE_LENGTH,
                                Field.METRES,
                                Map.of(
                                        "cable", link.run().cable().toString(),
                                        "format", plan.job().site().habits().standard(),
                                        "longest", Integer.toString(reach))))
                : Optional.empty();
    }
}
