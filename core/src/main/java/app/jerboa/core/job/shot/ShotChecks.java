package app.jerboa.core.job.shot;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.PlannedTake;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.control.PresetNumbering;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.PresetHome;
import app.jerboa.core.shot.ShotList;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Can every camera be where its take wants it? */
public final class ShotChecks {
    private final KitIndex kit;
    private final PresetNumbering numbers;
    private final List<Finding> found = new ArrayList<>();

    private ShotChecks(Job job) {
        kit = KitIndex.of(job);
        numbers = PresetNumbering.of(job);
    }

    public static List<Finding> check(Job job) {
        ShotChecks checks = new ShotChecks(job);
        checks.twice(job.presets());
        checks.keptOnce(job.presets());
        ShotPlan.of(job).forEach(checks::plan);
        return checks.found;
    }

    private void twice(List<Preset> presets) {
        Set<String> seen = new HashSet<>();
        for (Preset p : presets) {
            if (!seen.add(p.camera() + " " + p.number())) {
                String number = called(p.camera(), p.number());
                Map<String, String> facts =
                        Map.of(
                                Finding.AT,
                                Long.toString(p.id()),
                                "device",
                                kit.device(p.camera()).name(),
                                "number",
                                number);
                found.add(
                        Finding.of(ShotCodes.TWICE, p.camera(), Field.PRESET_NUMBER, facts)
                                .withFixes(
                                        List.of(Fix.removing("preset-later", JobItems.item(p)))));
            }
        }
    }

    /** Stored, and nothing of it was read: the camera alone knows what it is. */
    private void keptOnce(List<Preset> presets) {
        Map<DeviceId, List<Preset>> unread =
                presets.stream()
                        .filter(p -> !p.kept().at().isBlank() && p.kept().pan().isEmpty())
                        .collect(
                                Collectors.groupingBy(
                                        Preset::camera, TreeMap::new, Collectors.toList()));
        unread.forEach(
                (camera, own) -> {
                    String home =
                            kit.device(camera)
                                    .profile()
                                    .presets()
                                    .map(p -> p.keptIn().toString())
                                    .orElse(PresetHome.CAMERA.toString());
                    Map<String, String> facts =
                            Map.of(
                                    Finding.AT,
                                    Long.toString(own.get(0).id()),
                                    "device",
                                    kit.device(camera).name(),
                                    "count",
                                    Integer.toString(own.size()),
                                    "what",
                                    home);
                    found.add(Finding.of(ShotCodes.KEPT, camera, Field.PRESET_NUMBER, facts));
                });
    }

    private void plan(ShotPlan plan) {
        for (int i = 0; i < plan.takes().size(); i++) {
            ShotPlan.Planned planned = plan.takes().get(i);
            if (planned.take().preset().isPresent() && planned.unknown()) {
                found.add(view(plan, i));
            }
            if (planned.leg().filter(ShotList.Leg::late).isPresent()) {
                found.add(late(plan, i));
            }
        }
    }

    private Finding view(ShotPlan plan, int at) {
        ShotPlan.Planned planned = plan.takes().get(at);
        Map<String, String> facts = facts(plan, at);
        facts.put("number", called(planned.take().camera(), planned.take().preset().orElseThrow()));
        facts.put("what", planned.preset().isPresent() ? "unread" : "none");
        return finding(ShotCodes.VIEW, planned.take(), Field.TAKE_PRESET, facts);
    }

    private Finding late(ShotPlan plan, int at) {
        ShotPlan.Planned planned = plan.takes().get(at);
        ShotList.Leg leg = planned.leg().orElseThrow();
        Map<String, String> facts = facts(plan, at);
        facts.put("needed", seconds(leg.needed()));
        facts.put("free", seconds(leg.free()));
        facts.put("short", seconds(leg.missing()));
        facts.put("before", Integer.toString(leg.before() + 1));
        facts.put("offer", offer(plan));
        // Longer takes between the two give it time; where there is none, one must come between.
        facts.put("what", leg.before() + 1 == at ? "at-once" : "between");
        Finding finding = finding(ShotCodes.LATE, planned.take(), Field.TAKE_START, facts);
        return plan.changes().isEmpty()
                ? finding
                : finding.withFixes(
                        List.of(
                                Fix.editing(
                                        "other-views",
                                        plan.changes().stream()
                                                .flatMap(c -> edits(c).stream())
                                                .toList())));
    }

    /** What would mend the list, in words; all its late takes offer the same. */
    private String offer(ShotPlan plan) {
        if (plan.changes().isEmpty()) {
            return "No other view of the same subject helps.";
        }
        return "Offered: "
                + plan.changes().stream().map(c -> words(plan, c)).collect(Collectors.joining(", "))
                + ".";
    }

    private String words(ShotPlan plan, ShotPlan.Change c) {
        String name = c.to().name().isBlank() ? "" : " (" + c.to().name() + ")";
        return "take "
                + plan.number(c.take())
                + " by "
                + kit.device(c.to().camera()).name()
                + ", preset "
                + called(c.to().camera(), c.to().number())
                + name;
    }

    private static List<Edit> edits(ShotPlan.Change change) {
        PlannedTake take = change.take();
        List<Edit> edits = new ArrayList<>();
        if (!take.camera().equals(change.to().camera())) {
            edits.add(
                    new Edit(
                            take.ref(),
                            Field.TAKE_CAMERA,
                            take.camera().toString(),
                            change.to().camera().toString()));
        }
        String before = JobItems.text(take, Field.TAKE_PRESET);
        String after = Integer.toString(change.to().number());
        if (!before.equals(after)) {
            edits.add(new Edit(take.ref(), Field.TAKE_PRESET, before, after));
        }
        return edits;
    }

    /** By its key; where that has none for it, as the camera does. */
    private String called(DeviceId camera, int number) {
        String called = numbers.called(camera, number);
        return called.isEmpty() ? Integer.toString(number) : called;
    }

    private Map<String, String> facts(ShotPlan plan, int at) {
        PlannedTake take = plan.takes().get(at).take();
        Map<String, String> facts = new TreeMap<>();
        facts.put(Finding.AT, Long.toString(take.id()));
        facts.put("list", plan.shots().name());
        facts.put("take", Integer.toString(at + 1));
        facts.put("device", kit.device(take.camera()).name());
        return facts;
    }

    private static Finding finding(
            FindingCode code, PlannedTake take, Field field, Map<String, String> facts) {
        return Finding.of(code, take.camera(), field, facts);
    }

    private static String seconds(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
