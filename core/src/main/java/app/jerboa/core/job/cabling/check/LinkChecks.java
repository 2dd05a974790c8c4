package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Site;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.value.Gathered;
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

    /**
     * What is true of most links is one object, which need not be looked into for each of them.
     *
     * @param outdoors the link itself where it is laid outdoors
     */
    private record AtLink(List<Finding> findings, Optional<Link> outdoors) {
        static final AtLink NOTHING = new AtLink(List.of(), Optional.empty());
    }

    /** Of all links, in their order. */
    private record All(List<Finding> findings, List<Link> outdoors) {
        static All of(List<AtLink> at) {
            return new All(
                    at.stream().flatMap(a -> a.findings.stream()).toList(),
                    at.stream().flatMap(a -> a.outdoors.stream()).toList());
        }
    }

    private record Found(Site site, Gathered<Link, AtLink, All> at) {}

    private LinkChecks() {}

    static List<Finding> of(CablingPlan plan) {
        return looked(plan).findings();
    }

    /** Links that are laid outdoors, in their order. */
    static List<Link> outdoors(CablingPlan plan) {
        return looked(plan).outdoors();
    }

    private static All looked(CablingPlan plan) {
        return plan.job()
                .workedAfter(LinkChecks.class, READS, Found.class, before -> found(plan, before))
                .at()
                .all();
    }

    private static Found found(CablingPlan plan, Optional<Found> before) {
        Site site = plan.job().site();
        return new Found(
                site,
                Gathered.kept(
                        plan.cabling().links(),
                        before.filter(b -> b.site.equals(site)).map(Found::at),
                        (link, instead) -> at(plan, link),
                        All::of));
    }

    private static AtLink at(CablingPlan plan, Link link) {
        List<Finding> findings = ALL.stream().flatMap(r -> r.at(plan, link).stream()).toList();
        Optional<Link> outdoors = Optional.of(link).filter(l -> l.run().laid().equals("outdoor"));
        return findings.isEmpty() && outdoors.isEmpty()
                ? AtLink.NOTHING
                : new AtLink(findings, outdoors);
    }
}
