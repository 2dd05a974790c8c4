package app.jerboa.core.job.kit;

import static app.jerboa.core.job.RandomJobs.item;
import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.TestShelf;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.profile.Need;
import app.jerboa.core.profile.NeedKind;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each code of the kit: there when it should be, not when not, gone after its fix. */
class KitChecksTest {
    private static final Profile CAMERA =
            SomeProfiles.of("cam", "Camera", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                    .drawing(4, 25)
                    .sending("1080p50", "1080p25")
                    .floor(Sort.IP_STICK, "2.2")
                    .needing(
                            new Need(NeedKind.FIRMWARE, "firmware file", false),
                            new Need(NeedKind.BATTERIES, "spare battery", true))
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true)
                    .keys(8, 1, false)
                    .profile();
    private static final Profile SWITCH =
            SomeProfiles.of("switch", "Switch", Sort.POE_SWITCH).giving(8, 60).profile();
    private static final Profile LENS = SomeProfiles.of("lens", "Lens", Sort.LENS).profile();
    private static final JobEditor EDITOR =
            new JobEditor(TestShelf.of(CAMERA, STICK, SWITCH, LENS));

    private final List<Item> items =
            new ArrayList<>(
                    List.of(
                            item(
                                    ItemKind.SUBNET,
                                    2,
                                    Map.of(
                                            Field.CIDR, "10.44.8.0/24",
                                            Field.SUBNET_GATEWAY, "10.44.8.254",
                                            Field.LAPTOP_HOME, "10.44.8.81"))));
    private final Map<Field, String> site = new EnumMap<>(Map.of(Field.SITE_NAME, "Hall"));
    private long next = 3;

    private long device(String name, String profile, Object... more) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.NAME, name);
        values.put(Field.PROFILE, profile);
        for (int i = 0; i < more.length; i += 2) {
            values.put((Field) more[i], (String) more[i + 1]);
        }
        items.add(item(ItemKind.DEVICE, next, values));
        return next++;
    }

    private void line(int number, long camera, long controller) {
        items.add(
                item(
                        ItemKind.LINE,
                        next++,
                        Map.of(
                                Field.NUMBER, "" + number,
                                Field.CAMERA, "" + camera,
                                Field.CONTROL_ID, "" + number,
                                Field.CONTROLLER, "" + controller,
                                Field.KEY, "" + number)));
    }

    private Job job() {
        List<Item> all = new ArrayList<>(items);
        all.add(item(ItemKind.SITE, 1, site));
        return EDITOR.read(all);
    }

    private List<String> codes() {
        return codes(job());
    }

    private static List<String> codes(Job job) {
        return KitChecks.check(job).stream()
                .map(f -> f.code().code())
                .filter(c -> !c.startsWith("PREP"))
                .toList();
    }

    private static Job fixed(Job job, String code) {
        Finding finding =
                KitChecks.check(job).stream()
                        .filter(f -> f.code().code().equals(code))
                        .findFirst()
                        .orElseThrow();
        return EDITOR.apply(job, finding.fixes().get(0).changes());
    }

    @ParameterizedTest
    @CsvSource({
        "MAC,           02:4a:20:00:00:01, 02:4a:20:00:00:01, KIT-MAC-DUP",
        "MAC,           02:4a:20:00:00:01, 02:4a:20:00:00:02, ''",
        "MAC,           '',                '',                ''",
        "SERIAL_NUMBER, QH-1,              QH-1,              KIT-SERIAL-DUP",
        "SERIAL_NUMBER, QH-1,              QH-2,              ''",
        "NAME,          Hall,              Hall,              NAME-DUP",
    })
    void twoOfTheSame(Field field, String one, String other, String code) {
        device("One", "lens", field, one);
        device("Other", "lens", field, other);
        assertThat(codes()).isEqualTo(code.isEmpty() ? List.of() : List.of(code));
    }

    @Test
    void oneSerialNumberOnTwoModelsIsNoTrouble() {
        device("One", "lens", Field.SERIAL_NUMBER, "7");
        device("Other", "stick", Field.SERIAL_NUMBER, "7");
        assertThat(codes()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"letters, LA", "from-zero, L0", "numbers, ''"})
    void anotherHabitOffersToRename(String habit, String name) {
        long camera = device("L1", "lens");
        device("Balcony", "lens");
        line(1, camera, device("Stick", "stick"));
        site.put(Field.NUMBERING, habit);
        if (name.isEmpty()) {
            assertThat(codes()).isEmpty();
        } else {
            Job after = fixed(job(), "NAME-HABIT");
            assertThat(after.devices().get(0).name()).isEqualTo(name);
            assertThat(codes(after)).isEmpty();
        }
    }

    @Test
    void reservationsGoByMac() {
        site.put(Field.PRACTICE_ADDRESSES, "reservation");
        device("One", "stick", Field.ADDRESS, "10.44.8.11");
        assertThat(codes()).containsExactly("ADDR-NO-MAC");
        device("Two", "lens");
        site.put(Field.PRACTICE_ADDRESSES, "static");
        assertThat(codes()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"'', ''", "1080p50, ''", "1080p25, VID-FORMAT"})
    void aDialThatStandsElsewhereIsToldWithItsPosition(String set, String code) {
        device("L1", "cam", Field.FORMAT_SET, set);
        assertThat(codes()).isEqualTo(code.isEmpty() ? List.of() : List.of(code));
        if (!code.isEmpty()) {
            Finding found = KitChecks.check(job()).get(0);
            assertThat(found.facts()).containsEntry("dial", "7").containsEntry("what", "dial");
            assertThat(codes(fixed(job(), code))).isEmpty();
        }
    }

    @Test
    void theStandardChangesWhatFitsAtOnce() {
        device("L1", "cam");
        site.put(Field.STANDARD, "2160p50");
        assertThat(KitChecks.check(job()).get(0).facts()).containsEntry("what", "unable");
    }

    @ParameterizedTest
    @CsvSource({"2.1, CTRL-FIRMWARE", "2.2, ''", "v2.10, ''", "'', ''", "unknown, ''"})
    void firmwareBelowWhatTheControllerWants(String found, String code) {
        long camera = device("Cam", "cam", Field.FIRMWARE, found);
        line(1, camera, device("Stick", "stick"));
        assertThat(codes()).isEqualTo(code.isEmpty() ? List.of() : List.of(code));
    }

    /** 25 W cameras on 30 m runs draw about 26.0 W each from a 60 W switch. */
    @ParameterizedTest
    @CsvSource({
        "1, 20, ''",
        "2, 20, POE-HEADROOM",
        "2, 10, ''",
        "3, 20, POE-BUDGET",
        "3, 0,  POE-BUDGET",
    })
    void headroomDecidesWhenASwitchIsTooSmall(int cameras, int headroom, String code) {
        device("Switch", "switch");
        for (int i = 0; i < cameras; i++) {
            device("Cam " + i, "cam");
        }
        site.put(Field.POWER_HEADROOM, "" + headroom);
        assertThat(codes()).isEqualTo(code.isEmpty() ? List.of() : List.of(code));
    }

    @Test
    void aRunThatIsTooLongIsSaidBeforeAnythingIsPulled() {
        device("Switch", "switch");
        device("Cam", "cam");
        site.put(Field.USUAL_RUN, "400");
        assertThat(codes()).containsExactly("POE-DROP");
    }

    @Test
    void schoolsNameWhoCannot() {
        device("Cam", "cam");
        site.put(Field.PRACTICE_WIRING, "rs-485");
        site.put(Field.PRACTICE_REACH, "search");
        List<Finding> found = KitChecks.check(job());
        assertThat(
                        found.stream()
                                .filter(f -> f.code().equals(KitCodes.PRACTICE))
                                .map(Finding::field))
                .containsExactly(Field.PRACTICE_REACH, Field.PRACTICE_WIRING);
        assertThat(found).extracting(Finding::key).doesNotHaveDuplicates();
    }

    @Test
    void theVanListIsWorkedOutTickedAndFoundMissing() {
        long one = device("Cam 1", "cam");
        device("Cam 2", "cam", Field.CONDITION, "rental");
        List<Preparation.Task> tasks = Preparation.of(job());
        assertThat(tasks.stream().map(t -> t.what() + " " + t.devices().size()))
                .containsExactly(
                        "firmware file 2",
                        "spare battery 1",
                        "spare battery 1",
                        "rental: reset, then its network and users 1");
        assertThat(prep()).containsExactly("PREP-INTERNET", "PREP-PACK", "PREP-RESET");
        tick("", "firmware file");
        tick("" + one, "spare battery");
        assertThat(prep()).containsExactly("PREP-PACK", "PREP-RESET");
        assertThat(Preparation.of(job()).stream().filter(t -> t.done().isPresent())).hasSize(2);
        assertThat(
                        KitChecks.check(job()).stream()
                                .flatMap(f -> Optional.ofNullable(f.facts().get("count")).stream()))
                .contains("1");
    }

    private Stream<String> prep() {
        return KitChecks.check(job()).stream()
                .map(f -> f.code().code())
                .filter(c -> c.startsWith("PREP"));
    }

    private void tick(String device, String what) {
        items.add(
                item(
                        ItemKind.PREPARED,
                        next++,
                        Map.of(
                                Field.DONE_FOR,
                                device,
                                Field.DONE_PROFILE,
                                "cam",
                                Field.DONE_WHAT,
                                what,
                                Field.DONE_BY,
                                "Asha")));
    }
}
