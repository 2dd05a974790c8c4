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

    /** What is true of most links is one object, which need not be looked into for each of them. */
    private record AtLink(List<Finding> findings, boolean outdoors) {
        static final AtLink NOTHING = new AtLink(List.of(), false);
    }

    private record Found(Site site, Made<Link, AtLink> at) {}

    private LinkChecks() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> all = new ArrayList<>();
        looked(plan).to().forEach(a -> all.addAll(a.findings));
        return all;
    }

    /** Links that are laid outdoors, in their order. */
    static List<Link> outdoors(CablingPlan plan) {
        Made<Link, AtLink> looked = looked(plan);
        List<Link> outdoors = new ArrayList<>();
        for (int i = 0; i < looked.to().size(); i++) {
            if (looked.to().get(i).outdoors) {
                outdoors.add(looked.from().get(i));
            }
        }
        return outdoors;
    }

    private static Made<Link, AtLink> looked(CablingPlan plan) {
        return plan.job()
                .workedAfter(LinkChecks.class, READS, Found.class, before -> found(plan, before))
                .at();
    }

    private static Found found(CablingPlan plan, Optional<Found> before) {
        Site site = plan.job().site();
        Optional<Made<Link, AtLink>> known = before.filter(b -> b.site.equals(site)).map(Found::at);
        return new Found(
                site,
                Made.of(
                        plan.cabling().links(),
                        known,
                        (link, was) -> was == null ? at(plan, link) : was));
    }

    private static AtLink at(CablingPlan plan, Link link) {
        List<Finding> findings = ALL.stream().flatMap(r -> r.at(plan, link).stream()).toList();
        boolean outdoors = link.run().laid().equals("outdoor");
        return findings.isEmpty() && !outdoors ? AtLink.NOTHING : new AtLink(findings, outdoors);
    }
}
