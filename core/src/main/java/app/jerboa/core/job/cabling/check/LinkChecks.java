package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Site;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.value.Made;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Rules that look at one link, its devices and the site, and at nothing else: what they found at a
 * link stands for as long as it is the very same link.
 */
final class LinkChecks {
    private static final Parts READS = Parts.of(ItemKind.SITE, ItemKind.DEVICE, ItemKind.RUN);

    private interface Rule {
        List<Finding> at(CablingPlan plan, Link link);
    }

    private static final List<Rule> ALL =
            List.of(EndsCheck::at, DcCheck::at, PictureCheck::at, UsbCheck::at);

    private record Found(Site site, Made<Link, List<Finding>> at) {}

    private LinkChecks() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> all = new ArrayList<>();
        plan.job()
                .workedAfter(LinkChecks.class, READS, Found.class, before -> found(plan, before))
                .at()
                .to()
                .forEach(all::addAll);
        return all;
    }

    private static Found found(CablingPlan plan, Optional<Found> before) {
        Site site = plan.job().site();
        Optional<Made<Link, List<Finding>>> known =
                before.filter(b -> b.site.equals(site)).map(Found::at);
        return new Found(
                site,
                Made.of(
                        plan.cabling().links(),
                        known,
                        (link, was) -> was == null ? all(plan, link) : was));
    }

    private static List<Finding> all(CablingPlan plan, Link link) {
        return ALL.stream().flatMap(r -> r.at(plan, link).stream()).toList();
    }
}
