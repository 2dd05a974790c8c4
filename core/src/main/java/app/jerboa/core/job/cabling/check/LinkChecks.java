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

    /**
     * @param findings all of them, and the links that are laid outdoors, in their order
     */
    private record Found(
            Site site, Made<Link, AtLink> at, List<Finding> findings, List<Link> outdoors) {
        static Found of(Site site, Made<Link, AtLink> at) {
            List<Finding> findings = new ArrayList<>();
            List<Link> outdoors = new ArrayList<>();
            for (int i = 0; i < at.to().size(); i++) {
                AtLink here = at.to().get(i);
                findings.addAll(here.findings);
                if (here.outdoors) {
                    outdoors.add(at.from().get(i));
                }
            }
            return new Found(site, at, List.copyOf(findings), List.copyOf(outdoors));
        }

        /** Most edits find nothing at a link where nothing was found. */
        @SuppressWarnings("ReferenceEquality") // A list that nothing changed is the same one.
        Found after(Made<Link, AtLink> now) {
            return now.to() == at.to() ? new Found(site, now, findings, outdoors) : of(site, now);
        }
    }

    private LinkChecks() {}

    static List<Finding> of(CablingPlan plan) {
        return looked(plan).findings();
    }

    /** Links that are laid outdoors, in their order. */
    static List<Link> outdoors(CablingPlan plan) {
        return looked(plan).outdoors();
    }

    private static Found looked(CablingPlan plan) {
        return plan.job()
                .workedAfter(LinkChecks.class, READS, Found.class, before -> found(plan, before));
    }

    private static Found found(CablingPlan plan, Optional<Found> before) {
        Site site = plan.job().site();
        Optional<Found> known = before.filter(b -> b.site.equals(site));
        Made<Link, AtLink> at =
                Made.kept(
                        plan.cabling().links(),
                        known.map(Found::at),
                        (link, instead) -> at(plan, link));
        return known.map(k -> k.after(at)).orElseGet(() -> Found.of(site, at));
    }

    private static AtLink at(CablingPlan plan, Link link) {
        List<Finding> findings = ALL.stream().flatMap(r -> r.at(plan, link).stream()).toList();
        boolean outdoors = link.run().laid().equals("outdoor");
        return findings.isEmpty() && !outdoors ? AtLink.NOTHING : new AtLink(findings, outdoors);
    }
}
