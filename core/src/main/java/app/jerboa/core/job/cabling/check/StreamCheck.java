package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Habits;
import app.jerboa.core.job.Site;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.StreamPlan;
import app.jerboa.core.profile.DeviceKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Network pictures within what links carry, and the programme within the line to the outside. */
final class StreamCheck {
    private StreamCheck() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> found = new ArrayList<>();
        StreamPlan streams = StreamPlan.of(plan.cabling());
        double allowed = StreamPlan.LINK_MBITS * share(plan);
        streams.loads()
                .forEach(
                        (link, load) -> {
                            if (load > allowed) {
                                found.add(link(plan, link, load, streams.pictures(link), allowed));
                            }
                        });
        outgoing(plan).ifPresent(found::add);
        return found;
    }

    private static double share(CablingPlan plan) {
        return (100 - plan.job().site().habits().linkHeadroom()) / 100.0;
    }

    private static Finding link(
            CablingPlan plan, Link link, double load, int pictures, double allowed) {
        return plan.about(
                link,
                CablingCodes.UPLINK,
                Field.STREAM_RATE,
                Map.of(
                        "what", "link",
                        "takes", CablingPlan.one(load),
                        "pictures", Integer.toString(pictures),
                        "allowed", CablingPlan.one(allowed)));
    }

    private static Optional<Finding> outgoing(CablingPlan plan) {
        Site site = plan.job().site();
        Habits.Outside outside = site.habits().outside();
        if (outside.uplink().isEmpty() || outside.outgoing().isEmpty()) {
            return Optional.empty();
        }
        double allowed = outside.uplink().getAsInt() * share(plan);
        int rate = outside.outgoing().getAsInt();
        if (rate <= allowed || plan.job().devices().isEmpty()) {
            return Optional.empty();
        }
        Finding finding =
                Finding.of(
                        CablingCodes.UPLINK,
                        at(plan).id(),
                        Field.OUTGOING,
                        Map.of(
                                "what", "outside",
                                "takes", Integer.toString(rate),
                                "allowed", CablingPlan.one(allowed),
                                "service", outside.service()));
        int lower = (int) Math.floor(allowed);
        return Optional.of(
                lower < 1
                        ? finding
                        : finding.withFixes(
                                List.of(
                                        Fix.editing(
                                                "bit-rate",
                                                List.of(
                                                        new Edit(
                                                                site.ref(),
                                                                Field.OUTGOING,
                                                                Integer.toString(rate),
                                                                Integer.toString(lower)))))));
    }

    private static Device at(CablingPlan plan) {
        List<Device> all = plan.job().devices();
        return all.stream()
                .filter(d -> d.profile().kind() == DeviceKind.ROUTER)
                .findFirst()
                .orElse(all.get(0));
    }
}
