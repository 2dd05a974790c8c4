package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.profile.TestProfiles;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The desk's way to every head of the demo, and what keeps it from one. */
class DemoWaysTest {
    private static Job demo(UnaryOperator<Item> change) {
        List<Item> items = DemoItems.all().stream().map(change).toList();
        return new JobEditor(TestProfiles.profiles()).read(items);
    }

    private static Device named(Job job, String name) {
        return job.devices().stream().filter(d -> d.name().equals(name)).findFirst().orElseThrow();
    }

    /** As {@code L12}'s line is fixed. */
    private static Item apart(Item item) {
        boolean l12 = item.ref().kind() == ItemKind.LINE && "12".equals(item.text(Field.NUMBER));
        return l12 ? item.with(Field.CONTROL_ID, "3") : item;
    }

    @ParameterizedTest
    @CsvSource({
        "L1, 'VISCA over IP to L1, 10.44.8.21 port 52381'",
        "L7, 'VISCA over IP to L7, 10.44.8.27 port 52381'",
        "L10, 'VISCA on the chain at Serial server, 10.44.8.4 port 4001, number 1, 9600 baud'",
        "L12, 'VISCA on the chain at Serial server, 10.44.8.4 port 4001, number 3, 9600 baud'",
        "L13, 'D protocol on the bus at Serial server, 10.44.8.4 port 4001, number 13, 9600 baud'",
        "L14, 'VISCA over IP to Control bridge, 10.44.8.5 port 52381'",
    })
    void everyHeadHasItsWay(String camera, String way) {
        Job job = demo(DemoWaysTest::apart);
        assertThat(DeskWords.way(DeskWays.of(job).to(named(job, camera)))).isEqualTo(way);
    }

    /** Whether there is a serial server or not, at the rate that the cameras are set to. */
    @ParameterizedTest
    @CsvSource({
        "L10, true, 'VISCA on the chain at /dev/ttyUSB0 of this machine, number 1, 9600 baud'",
        "L10, false, 'VISCA on the chain at /dev/ttyUSB0 of this machine, number 1, 9600 baud'",
        "L13, false, 'D protocol on the bus at /dev/ttyUSB0 of this machine, number 13, 9600 baud'",
        "L1, false, 'VISCA over IP to L1, 10.44.8.21 port 52381'",
    })
    void aPortOfThisMachineTakesLeads(String camera, boolean server, String words) {
        Job job = demo(i -> server || !isServer(i) ? apart(i) : i.with(Field.ADDRESS, ""));
        DeskWay way = DeskWays.of(job).from(Optional.of("/dev/ttyUSB0")).to(named(job, camera));
        assertThat(DeskWords.way(way)).isEqualTo(words);
        boolean onLead = way instanceof DeskWay.OverLine;
        assertThat(DeskWords.through(named(job, camera), way))
                .isEqualTo(onLead ? "Serial port" : "");
        assertThat(DeskWords.move(way))
                .contains(onLead ? "its lead is on /dev/ttyUSB0, not on" : "");
    }

    private static boolean isServer(Item i) {
        return i.ref().kind() == ItemKind.DEVICE
                && i.text(Field.PROFILE).startsWith("serial-server");
    }

    @Test
    void twoWithOneNumberAreNotDriven() {
        Job job = demo(i -> i);
        DeskWay way = DeskWays.of(job).to(named(job, "L11"));
        assertThat(way)
                .isEqualTo(new DeskWay.None(DeskWay.Why.SAME_NUMBER, List.of(named(job, "L12"))));
        assertThat(DeskWords.without(named(job, "L11"), (DeskWay.None) way))
                .contains("L11 and L12 answer to the same control ID");
        assertThat(DeskWays.of(job).to(named(job, "L10"))).isInstanceOf(DeskWay.OverLine.class);
    }

    /** The lead that is planned to the stick must be moved for the desk, and is named. */
    @Test
    void theLeadToMoveIsNamed() {
        Job job = demo(DemoWaysTest::apart);
        assertThat(DeskWords.move(DeskWays.of(job).to(named(job, "L10"))))
                .isEqualTo(
                        "While you drive from here its lead is on Serial server, not on Serial stick RS-232.");
        assertThat(DeskWords.move(DeskWays.of(job).to(named(job, "L1")))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "L10, run, NO_LEAD",
        "L10, server, NO_SERVER",
        "L10, line, NO_NUMBER",
        "L1, address, NO_ADDRESS",
        "L14, address, NO_ADDRESS",
        "L8, nothing, NO_HEAD",
    })
    void whatIsMissingIsSaid(String camera, String missing, DeskWay.Why why) {
        Job whole = demo(DemoWaysTest::apart);
        List<Item> items =
                whole.items()
                        .map(JobItems::item)
                        .filter(i -> !(missing.equals("run") && i.ref().kind() == ItemKind.RUN))
                        .filter(i -> !(missing.equals("line") && i.ref().kind() == ItemKind.LINE))
                        .map(
                                i ->
                                        i.ref().kind() == ItemKind.DEVICE
                                                        && (missing.equals("address")
                                                                || missing.equals("server")
                                                                        && isServer(i))
                                                ? i.with(Field.ADDRESS, "")
                                                : i)
                        .toList();
        Job job = new JobEditor(TestProfiles.profiles()).read(items);
        DeskWay way = DeskWays.of(job).to(named(job, camera));
        assertThat(way).isEqualTo(new DeskWay.None(why, List.of()));
        assertThat(DeskWords.without(named(job, camera), (DeskWay.None) way)).contains(camera);
    }
}
