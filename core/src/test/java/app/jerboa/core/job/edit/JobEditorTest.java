package app.jerboa.core.job.edit;

import static app.jerboa.core.job.RandomJobs.item;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.RandomJobs;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JobEditorTest {
    private static final JobEditor EDITOR = new JobEditor(RandomJobs.SHELF);
    private static final List<Item> ITEMS =
            List.of(
                    item(ItemKind.SITE, 1, Map.of(Field.SITE_NAME, "Hall")),
                    item(
                            ItemKind.SUBNET,
                            2,
                            Map.of(
                                    Field.CIDR, "10.44.8.0/24",
                                    Field.SUBNET_GATEWAY, "10.44.8.254",
                                    Field.LAPTOP_HOME, "10.44.8.81")),
                    item(
                            ItemKind.DEVICE,
                            3,
                            Map.of(
                                    Field.NAME, "L1",
                                    Field.PROFILE, "ceiling-ptz",
                                    Field.ADDRESS, "10.44.8.21")),
                    item(
                            ItemKind.LINE,
                            4,
                            Map.of(Field.NUMBER, "1", Field.CAMERA, "3", Field.CONTROL_ID, "1")));
    private static final Job JOB = EDITOR.read(ITEMS);

    private static ChangeSet edit(Field field, String before, String after) {
        ItemRef item =
                ITEMS.stream().filter(i -> i.ref().kind() == field.kind()).findFirst().get().ref();
        return ChangeSet.edits(List.of(new Edit(item, field, before, after)));
    }

    @Test
    void anyCommandsAllUndoneGiveTheJobExactlyAsItWas() {
        for (int seed = 0; seed < 150; seed++) {
            RandomJobs random = new RandomJobs(seed);
            Job start = EDITOR.read(random.items());
            Job job = start;
            Deque<ChangeSet> done = new ArrayDeque<>();
            for (int i = 0; i < 12; i++) {
                ChangeSet command = random.command(job);
                job = EDITOR.apply(job, command);
                done.push(command);
            }
            Job end = job;
            List<ChangeSet> forward = new ArrayList<>(done);
            for (ChangeSet command : done) {
                job = EDITOR.apply(job, command.inverse());
            }
            assertThat(job).as("seed %d", seed).isEqualTo(start);
            for (int i = forward.size() - 1; i >= 0; i--) {
                job = EDITOR.apply(job, forward.get(i));
            }
            assertThat(job).as("seed %d, all done again", seed).isEqualTo(end);
        }
    }

    /** Found once more from nothing, it is the same. */
    @Test
    void findingsThatOutliveAChangeStillStand() {
        for (int seed = 0; seed < 100; seed++) {
            RandomJobs random = new RandomJobs(seed);
            Job job = EDITOR.read(random.items());
            for (int i = 0; i < 12; i++) {
                JobFindings.check(job);
                job = EDITOR.apply(job, random.command(job));
                assertThat(JobFindings.check(job))
                        .as("seed %d", seed)
                        .isEqualTo(JobFindings.check(Job.of(job.items().toList())));
            }
        }
    }

    @Test
    void textsAndTypedValuesSayTheSame() {
        for (int seed = 0; seed < 150; seed++) {
            List<Item> items = new RandomJobs(seed).items();
            assertThat(
                            EDITOR.read(items)
                                    .items()
                                    .map(JobItems::item)
                                    .sorted(Comparator.comparing(Item::ref)))
                    .containsExactlyElementsOf(items);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "ADDRESS, 10.44.8.21, 10.44.8.30",
        "ADDRESS, 10.44.8.21, ''",
        "PREFIX, 24, 16",
        "GATEWAY, '', 10.44.8.254",
        "RESERVED, false, true",
        "MAC, '', 02:4a:00:9f:00:01",
        "SITE_NAME, Hall, Great hall",
        "UNITS, m, ft",
        "CIDR, 10.44.8.0/24, 10.44.8.0/23",
        "CONTROL_ID, 1, 255"
    })
    void changesAndComesBack(Field field, String before, String after) {
        ChangeSet change = edit(field, before, after);
        Job changed = EDITOR.apply(JOB, change);
        ItemRef ref = change.edits().get(0).item();
        assertThat(JobItems.text(changed.item(ref).orElseThrow(), field)).isEqualTo(after);
        assertThat(EDITOR.apply(changed, change.inverse())).isEqualTo(JOB);
    }

    @ParameterizedTest
    @CsvSource({
        "ADDRESS, 10.44.8.21, 10.44.8",
        "ADDRESS, 10.44.8.21, 10.44.8.021",
        "PREFIX, 24, 7",
        "PREFIX, 24, 31",
        "PREFIX, 24, 024",
        "PREFIX, 24, ''",
        "PREFIX, 24, 99999999999999",
        "RESERVED, false, yes",
        "NAME, L1, ''",
        "NAME, L1, '  '",
        "NAME, L1, '<b>L1</b>'",
        "NAME, L1, 'two\nlines'",
        "MAC, '', 02:4A:00:9F:00:01",
        "PROFILE, ceiling-ptz, unknown",
        "UNITS, m, mm",
        "CIDR, 10.44.8.0/24, 10.44.8.0/31",
        "CIDR, 10.44.8.0/24, 10.44.8.7/24",
        "NUMBER, 1, 0",
        "CAMERA, 3, 9",
        "CAMERA, 3, 1",
        "CAMERA, 3, ''",
        "KEY, '', 4",
        "CONTROLLER, '', 3"
    })
    void refusesATextAtItsPlace(Field field, String before, String after) {
        assertThatThrownBy(() -> EDITOR.apply(JOB, edit(field, before, after)))
                .isInstanceOfSatisfying(
                        ItemRejected.class,
                        e -> assertThat(e.field().kind()).isEqualTo(field.kind()));
    }

    @Test
    void aChangeFromAnOldValueIsAConflict() {
        assertThatThrownBy(() -> EDITOR.apply(JOB, edit(Field.ADDRESS, "10.44.8.99", "10.44.8.30")))
                .isInstanceOfSatisfying(
                        ChangeConflict.class, c -> assertThat(c.actual()).isEqualTo("10.44.8.21"));
        Item edited = ITEMS.get(2).with(Field.NAME, "other");
        assertThatThrownBy(() -> EDITOR.apply(JOB, ChangeSet.removing(ITEMS.get(3), edited)))
                .isInstanceOf(ChangeConflict.class);
    }

    @Test
    void whatOthersPointToStays() {
        assertThatThrownBy(() -> EDITOR.apply(JOB, ChangeSet.removing(ITEMS.get(2))))
                .isInstanceOfSatisfying(
                        ItemRejected.class, e -> assertThat(e.field()).isEqualTo(Field.CAMERA));
        for (int ground = 0; ground < 2; ground++) {
            ChangeSet removal = ChangeSet.removing(ITEMS.get(ground));
            assertThatThrownBy(() -> EDITOR.apply(JOB, removal)).isInstanceOf(ItemMissing.class);
        }
        ItemRef nobody = new ItemRef(ItemKind.DEVICE, 99);
        assertThatThrownBy(
                        () ->
                                EDITOR.apply(
                                        JOB,
                                        ChangeSet.edits(
                                                List.of(new Edit(nobody, Field.NAME, "", "x")))))
                .isInstanceOf(ItemMissing.class);
        assertThatThrownBy(() -> EDITOR.apply(JOB, ChangeSet.adding(ITEMS.get(2))))
                .isInstanceOf(ItemMissing.class);
    }

    @Test
    void addedItemsThatPointToEachOtherAreNumberedTogether() {
        Item camera = ITEMS.get(2).numbered(-1);
        Item line = ITEMS.get(3).numbered(-2).with(Field.CAMERA, "-1");
        ChangeSet both = ChangeSet.adding(camera, line).numbered(20);
        assertThat(both.adds()).extracting(i -> i.ref().id()).containsExactly(20L, 21L);
        assertThat(both.adds().get(1).text(Field.CAMERA)).isEqualTo("20");
        assertThat(EDITOR.apply(JOB, both).lines()).hasSize(2);
        assertThat(both.highestAdded()).isEqualTo(21);
    }

    @Test
    void aWaivedFindingStaysVisibleAndNoLongerStops() {
        Job bad = EDITOR.apply(JOB, edit(Field.ADDRESS, "10.44.8.21", "10.99.0.1"));
        JobFindings.Judged stop = JobFindings.check(bad).get(0);
        assertThat(stop.stops()).isTrue();
        Item waiver =
                item(
                        ItemKind.WAIVER,
                        9,
                        Map.of(
                                Field.WAIVED, stop.finding().key(),
                                Field.REASON, "moved next week",
                                Field.WAIVED_BY, "Asha Lindqvist"));
        List<JobFindings.Judged> waived =
                JobFindings.check(EDITOR.apply(bad, ChangeSet.adding(waiver)));
        assertThat(waived).hasSameSizeAs(JobFindings.check(bad));
        JobFindings.Judged last = waived.get(waived.size() - 1);
        assertThat(last.finding()).isEqualTo(stop.finding());
        assertThat(last.waiver().orElseThrow().reason()).isEqualTo("moved next week");
        assertThat(waived).noneMatch(JobFindings.Judged::stops);
    }

    /** What was seen is no field: no change takes it away, and it changes no item. */
    @Test
    void whereADeviceWasFoundStaysThroughChanges() {
        DeviceId device = JOB.devices().get(0).id();
        Job found = JOB.with(Map.of(device, Ipv4.parse("10.44.8.21")));
        assertThat(found.devices().get(0).set()).isTrue();
        assertThat(found.items().map(JobItems::item).toList())
                .isEqualTo(JOB.items().map(JobItems::item).toList());
        Job moved = EDITOR.apply(found, edit(Field.ADDRESS, "10.44.8.21", "10.44.8.30"));
        assertThat(moved.devices().get(0).found()).hasToString("Optional[10.44.8.21]");
        assertThat(moved.devices().get(0).set()).isFalse();
    }
}
