package app.jerboa.core.job.kit;

import static app.jerboa.core.job.RandomJobs.item;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.TestShelf;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.kit.KitSheet.Row;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.Reason;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KitSheetTest {
    private static final Profile PTZ =
            SomeProfiles.of("ceiling-ptz", "Ceiling PTZ 20x, PoE", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                    .profile();
    private static final Profile SERIAL =
            SomeProfiles.of("ceiling-ptz-serial", "Ceiling PTZ 18x, RS-232", Sort.CEILING_PTZ)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "IP stick, 8 keys", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true)
                    .keys(8, 1, false)
                    .profile();
    private static final TestShelf SHELF = TestShelf.of(PTZ, SERIAL, STICK);
    private static final ProfileNames NAMES = new ProfileNames(SHELF, List.of(PTZ, SERIAL, STICK));
    private static final JobEditor EDITOR = new JobEditor(SHELF);
    private static final Job JOB =
            EDITOR.read(
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
                                            Field.MAC, "02:4a:20:00:00:01"))));

    private static List<Row> rows(String... lines) {
        List<Row> rows = new ArrayList<>();
        for (String line : lines) {
            List<String> cells = Arrays.stream(line.split(";", -1)).map(String::strip).toList();
            rows.add(new Row(rows.size() + 1, cells));
        }
        return rows;
    }

    private static KitSheet.Reading read(List<SheetColumn> columns, String... lines) {
        return KitSheet.read(JOB, NAMES, columns, rows(lines));
    }

    /** name; profile; how many; MAC; serial number -> the reason it is left out, or nothing. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Stage; ceiling ptz 20x; ; 02-4a-20-00-00-09; QH-1 | ''",
                "     ; ceiling-ptz    ; 6; ;                      | ''",
                "L1   ; ; ; ; QH-201                               | ''",
                "L1   ; ; ; 02:4a:20:00:00:01; QH-201              | ''",
                "L1   ; ; ; 02:4a:20:00:00:01;                     | sheet.noted (name L1)",
                "L1   ; ; 2; ; QH-201                              | sheet.one-device (count 2)",
                "Hall ; ; ; ;                                      | sheet.no-profile-named",
                "Hall ; periscope; ; ;                             | sheet.no-profile (text periscope)",
                "Hall ; ceiling; ; ;                               | one Ceiling PTZ 20x, PoE",
                "Hall ; stick; 0; ;                                | sheet.count (most 100",
                "Hall ; stick; 101; ;                              | sheet.count (most 100",
                "Hall ; stick; 2; ;                                | sheet.one-device (count 2)",
                "Hall ; stick; ; 02:4a:20:00:00:01;                | sheet.mac-twice (mac 02:4a:20:00:00:01, name L1)",
                "Hall ; stick; ; 02:4a:20;                         | sheet.no-mac (text 02:4a:20, why text.mac)",
                "<b>  ; stick; ; ;                                 | sheet.no-name (text <b>, why text.brackets)",
            })
    void aRowIsTakenOrLeftOutWithItsReason(String row, String reason) {
        List<SheetColumn> columns =
                List.of(
                        SheetColumn.NAME,
                        SheetColumn.PROFILE,
                        SheetColumn.COUNT,
                        SheetColumn.MAC,
                        SheetColumn.SERIAL_NUMBER);
        KitSheet.Reading reading = read(columns, row);
        if (reason.isEmpty()) {
            assertThat(reading.bad()).isEmpty();
            assertThat(reading.good()).hasSize(1);
        } else {
            assertThat(reading.good()).isEmpty();
            assertThat(reading.bad().get(0).reason().toString()).contains(reason);
        }
    }

    @Test
    void goodRowsAreKeptAndBecomeOneChange() {
        List<SheetColumn> columns =
                List.of(SheetColumn.NAME, SheetColumn.PROFILE, SheetColumn.COUNT, SheetColumn.MAC);
        KitSheet.Reading reading =
                read(
                        columns,
                        "L1;;;024a.2000.0077",
                        ";ceiling-ptz;3;",
                        "Desk;stick;;02:4a:20:00:00:30",
                        "Desk;stick;;",
                        "Balcony;stick;;02:4a:20:00:00:30",
                        ";;;");
        assertThat(reading.bad())
                .extracting(KitSheet.Bad::line, KitSheet.Bad::reason)
                .containsExactly(
                        tuple(4, Reason.of("sheet.name-twice", "name", "Desk")),
                        tuple(
                                5,
                                Reason.of(
                                        "sheet.mac-twice",
                                        "name",
                                        "Desk",
                                        "mac",
                                        "02:4a:20:00:00:30")));
        Job after = EDITOR.apply(JOB, KitSheet.changes(EDITOR, JOB, reading, 4));
        assertThat(after.devices())
                .extracting(Device::name)
                .containsExactly("L1", "Desk", "L2", "L3", "L4");
        assertThat(after.devices().get(0).mac()).isEqualTo("02:4a:20:00:00:77");
        assertThat(after.lines()).allMatch(l -> l.key().isPresent());
        assertThat(after.devices().subList(1, 5)).allMatch(d -> d.address().isPresent());
    }

    /** First row; second row -> what the columns are, and whether the first is headings. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Name; Model; MAC address; S/N; Qty | L2; stick; ;; | name profile mac serial-number count | true",
                "Cam; Label; IP; FW              | L2; x; ;        | name nothing address firmware | true",
                "stick; 2                        | ceiling-ptz; 6  | profile count | false",
                "Left; ceiling-ptz; 02-4A-20-00-00-09; 10.44.8.7; 2.4 | Right; stick;;; | name profile mac address firmware | false",
                "colour; weight                  | red; heavy      | name nothing | false",
            })
    void columnsAreMatchedByHeadingOrContent(
            String first, String second, String columns, boolean headings) {
        ColumnGuess guess = ColumnGuess.of(rows(first, second), NAMES);
        assertThat(String.join(" ", guess.columns().stream().map(SheetColumn::wire).toList()))
                .isEqualTo(columns);
        assertThat(guess.headings()).isEqualTo(headings);
    }

    @Test
    void nothingIsGuessedFromNothing() {
        assertThat(ColumnGuess.of(List.of(), NAMES).columns()).isEmpty();
        assertThat(read(List.of(), "a;b").bad()).hasSize(1);
    }
}
