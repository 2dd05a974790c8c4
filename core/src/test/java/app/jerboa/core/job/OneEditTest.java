package app.jerboa.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.cabling.CabledHall;
import app.jerboa.core.job.check.JobCheck;
import app.jerboa.core.job.check.JobFindings;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What one edited length of a run makes the checks work out anew, and what it leaves alone. */
class OneEditTest {
    private final JobUnderTest hall = new JobUnderTest(CabledHall.SWITCH, CabledHall.HEAD);

    private static String name(Object worked) {
        return worked instanceof JobCheck d
                ? "findings: " + d.name() + (d.codes().isEmpty() ? ", joined" : "")
                : ((Class<?>) worked).getName().replaceAll("^.*[.]", "");
    }

    private static Set<String> names(Job job) {
        return job.worked().names().stream()
                .map(OneEditTest::name)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void aLengthChangesWhatHangsOnTheRunsAndNothingElse() {
        long net = hall.device("Switch", CabledHall.SWITCH);
        long head = hall.device("L1", CabledHall.HEAD);
        hall.line(1, head);
        hall.run(net, "PORT 1", head, "LAN", "data", 40);
        Job before = hall.job();
        JobFindings.check(before);
        Run run = before.runs().get(0);
        Edit longer = new Edit(run.ref(), Field.METRES, "40", "60");
        ChangeSet lengthened = ChangeSet.edits(List.of(longer));
        Job after = hall.after(lengthened);
        Job followed = before.followedBy(after.runs(), Set.of(), Parts.touchedBy(lengthened));
        Set<String> kept = names(followed);
        JobFindings.check(followed);
        Set<String> anew = names(followed);
        anew.removeAll(kept);
        System.out.println("One edited length works out anew: " + anew + "; keeps: " + kept);
        assertThat(anew)
                .contains("Cabling", "PowerPlan", "findings: cabling")
                .doesNotContainAnyElementsOf(kept);
        assertThat(kept)
                .contains(
                        "KitIndex",
                        "ControlRoutes",
                        "findings: addresses",
                        "findings: cabling, joined",
                        "findings: kit",
                        "findings: kit, joined",
                        "findings: lines",
                        "findings: lines, joined",
                        "findings: mounts",
                        "findings: secrets");
    }
}
