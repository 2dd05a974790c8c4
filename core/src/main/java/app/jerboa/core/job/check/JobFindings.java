package app.jerboa.core.job.check;

import static app.jerboa.core.item.ItemKind.DEVICE;
import static app.jerboa.core.item.ItemKind.LINE;
import static app.jerboa.core.item.ItemKind.MOUNT;
import static app.jerboa.core.item.ItemKind.PREPARED;
import static app.jerboa.core.item.ItemKind.PRESET;
import static app.jerboa.core.item.ItemKind.RANGE;
import static app.jerboa.core.item.ItemKind.ROUTE;
import static app.jerboa.core.item.ItemKind.RUN;
import static app.jerboa.core.item.ItemKind.SECRET;
import static app.jerboa.core.item.ItemKind.SHOT_LIST;
import static app.jerboa.core.item.ItemKind.SITE;
import static app.jerboa.core.item.ItemKind.SUBNET;
import static app.jerboa.core.item.ItemKind.TAKE;
import static app.jerboa.core.item.ItemKind.WAIVER;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Severity;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Waiver;
import app.jerboa.core.job.addresses.JobAddresses;
import app.jerboa.core.job.cabling.check.CablingChecks;
import app.jerboa.core.job.cabling.check.CablingCodes;
import app.jerboa.core.job.kit.KitChecks;
import app.jerboa.core.job.kit.KitCodes;
import app.jerboa.core.job.line.LineChecks;
import app.jerboa.core.job.line.LineCodes;
import app.jerboa.core.job.mount.MountChecks;
import app.jerboa.core.job.mount.MountCodes;
import app.jerboa.core.job.secret.SecretCheck;
import app.jerboa.core.job.secret.SecretCodes;
import app.jerboa.core.job.shot.ShotChecks;
import app.jerboa.core.job.shot.ShotCodes;
import app.jerboa.core.net.AddressChecks;
import app.jerboa.core.net.AddressCodes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** All findings of a job in one order; a new check is one more line here. */
public final class JobFindings {
    /** Only what looks for a free address looks at the ranges that are noted. */
    private static final Parts ADDRESSED = Parts.of(SITE, SUBNET, RANGE, DEVICE, LINE);

    private static final Parts PLANNED = Parts.of(SITE, SUBNET, DEVICE, LINE, ROUTE, MOUNT);
    private static final Parts CABLED = PLANNED.with(RUN);

    /** What is joined to what, over runs however long. */
    private static final Parts JOINED = CABLED.without(RUN, Field.METRES);

    public static final List<JobCheck> CHECKS =
            List.of(
                    new JobCheck(
                            "addresses",
                            ADDRESSED,
                            AddressCodes.ALL,
                            job ->
                                    JobAddresses.facts(job).stream()
                                            .flatMap(f -> AddressChecks.check(f).stream())
                                            .toList()),
                    new JobCheck(
                            "kit",
                            Parts.of(SITE, DEVICE, LINE, PREPARED),
                            KitCodes.ALL,
                            KitChecks::alone),
                    new JobCheck(
                            "kit",
                            Parts.of(SITE, DEVICE, LINE, RUN).without(RUN, Field.METRES),
                            List.of(),
                            KitChecks::joined),
                    new JobCheck(
                            "secrets",
                            Parts.of(SITE, DEVICE, SECRET),
                            SecretCodes.ALL,
                            SecretCheck::of),
                    new JobCheck("lines", ADDRESSED, LineCodes.ALL, LineChecks::split),
                    new JobCheck("lines", PLANNED, List.of(), LineChecks::planned),
                    new JobCheck("lines", JOINED, List.of(), LineChecks::cabled),
                    new JobCheck(
                            "mounts",
                            Parts.of(SITE, DEVICE, LINE, MOUNT),
                            MountCodes.ALL,
                            MountChecks::check),
                    new JobCheck(
                            "shots",
                            PLANNED.with(PRESET, SHOT_LIST, TAKE),
                            ShotCodes.ALL,
                            ShotChecks::check),
                    new JobCheck("cabling", CABLED, CablingCodes.ALL, CablingChecks::laid),
                    new JobCheck("cabling", JOINED, List.of(), CablingChecks::joined));

    /** A check that failed at this job: what it would have found is not known. */
    public static final FindingCode CHECK_BROKEN =
            new FindingCode("CHECK-BROKEN", Severity.WARN, Discipline.CHECKS);

    /** A finding and who accepted it, if anybody did. */
    public record Judged(Finding finding, Optional<Waiver> waiver) {
        /** It stands against the plan: a stop that nobody accepted. */
        public boolean stops() {
            return waiver.isEmpty() && finding.code().severity() == Severity.STOP;
        }
    }

    /** So many findings may go at one place before those behind them are taken for new ones. */
    private static final int LOOK_AHEAD = 16;

    /** Of one check, in order. */
    private record Found(List<Finding> all) {
        /**
         * The same findings; those that were there before are the very same objects, so that what
         * was made of them (their words, say) still stands.
         */
        Found after(Optional<Found> before) {
            if (before.isEmpty() || all.equals(before.get().all)) {
                return before.orElse(this);
            }
            List<Finding> known = before.get().all;
            List<Finding> kept = new ArrayList<>(all.size());
            int next = 0;
            for (Finding f : all) {
                int at = found(f, known, next);
                next = at < 0 ? next : at + 1;
                kept.add(at < 0 ? f : known.get(at));
            }
            return new Found(List.copyOf(kept));
        }

        /** Both are in the same order, so that it stands there or soon after, or is new. */
        private static int found(Finding f, List<Finding> known, int from) {
            int end = Math.min(known.size(), from + LOOK_AHEAD);
            for (int i = from; i < end; i++) {
                if (known.get(i).equals(f)) {
                    return i;
                }
            }
            return -1;
        }
    }

    /**
     * All findings of a job in one order.
     *
     * @param by what each check found
     */
    private record Judging(List<List<Finding>> by, List<Waiver> waivers, List<Judged> all) {
        @SuppressWarnings("ReferenceEquality") // Lists that are others are put in order anew.
        boolean isOf(List<List<Finding>> found, List<Waiver> accepted) {
            boolean same = waivers == accepted && by.size() == found.size();
            for (int i = 0; same && i < by.size(); i++) {
                same = by.get(i) == found.get(i);
            }
            return same;
        }
    }

    /** Whatever any check reads, and who accepted what. */
    private static final Parts JUDGED =
            Parts.of(
                            CHECKS.stream()
                                    .flatMap(c -> c.reads().kinds().stream())
                                    .collect(Collectors.toSet()))
                    .with(WAIVER);

    private JobFindings() {}

    /** Stops first, waived ones last; same job, same order. */
    public static List<Judged> check(Job job) {
        return check(job, (check, failure) -> {});
    }

    /**
     * As above; a check that throws is a finding of its own, and the others are heard.
     *
     * @param onFailure gets the check's name and what it threw
     */
    public static List<Judged> check(Job job, BiConsumer<String, RuntimeException> onFailure) {
        return job.workedAfter(
                        Judging.class,
                        JUDGED,
                        Judging.class,
                        before -> {
                            List<List<Finding>> by =
                                    CHECKS.stream().map(c -> found(c, job, onFailure)).toList();
                            return before.filter(b -> b.isOf(by, job.waivers()))
                                    .orElseGet(() -> judging(job, by));
                        })
                .all();
    }

    private static Judging judging(Job job, List<List<Finding>> by) {
        List<Finding> all = by.stream().flatMap(List::stream).toList();
        return new Judging(by, job.waivers(), judged(job, all));
    }

    /** In one order, each with who accepted it. */
    public static List<Judged> judged(Job job, List<Finding> findings) {
        Map<String, Waiver> waivers = new HashMap<>();
        job.waivers().forEach(w -> waivers.put(w.finding(), w));
        List<Judged> all =
                findings.stream()
                        .sorted(Finding.ORDER)
                        .map(f -> new Judged(f, waiver(f, waivers)))
                        .toList();
        if (waivers.isEmpty()) {
            return all;
        }
        return Stream.concat(
                        all.stream().filter(j -> j.waiver().isEmpty()),
                        all.stream().filter(j -> j.waiver().isPresent()))
                .toList();
    }

    private static Optional<Waiver> waiver(Finding f, Map<String, Waiver> waivers) {
        return waivers.isEmpty() ? Optional.empty() : Optional.ofNullable(waivers.get(f.key()));
    }

    static List<Finding> found(
            JobCheck check, Job job, BiConsumer<String, RuntimeException> onFailure) {
        try {
            return job.workedAfter(
                            check,
                            check.reads(),
                            Found.class,
                            before ->
                                    new Found(
                                                    check.check().apply(job).stream()
                                                            .sorted(Finding.ORDER)
                                                            .toList())
                                            .after(before))
                    .all();
        } catch (RuntimeException e) {
            onFailure.accept(check.name(), e);
            return job.devices().stream()
                    .limit(1)
                    .map(
                            d ->
                                    Finding.of(
                                            CHECK_BROKEN,
                                            d.id(),
                                            Field.NAME,
                                            Map.of(Finding.AT, check.name(), "what", check.name())))
                    .toList();
        }
    }
}
