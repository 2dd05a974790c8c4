package app.jerboa.server.world;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.HeadLink;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The chain of L10 to L12 and the bus of L13, at one port of this machine. */
class PluggedLeadsTest {
    private static final String PORT = "/dev/no-such-port";

    private static final DeskWay.OverLine CHAIN = way("L10", Optional.of(PORT));
    private static final DeskWay.OverLine BUS = way("L13", Optional.of(PORT));

    private final PluggedLeads plugged = new PluggedLeads();
    private final HeadLinks links = new HeadLinks();

    @AfterEach
    void close() {
        links.close();
    }

    /** With L12's number apart from L11's. */
    private static Job demo(UnaryOperator<Item> change) {
        return new JobEditor(TestProfiles.profiles())
                .read(DemoItems.all().stream().map(PluggedLeadsTest::apart).map(change).toList());
    }

    private static Item apart(Item item) {
        boolean l12 = item.ref().kind() == ItemKind.LINE && "12".equals(item.text(Field.NUMBER));
        return l12 ? item.with(Field.CONTROL_ID, "3") : item;
    }

    private static DeskWay.OverLine way(String camera, Optional<String> port) {
        return way(demo(i -> i), camera, port);
    }

    private static DeskWay.OverLine way(Job job, String camera, Optional<String> port) {
        Device device =
                job.devices().stream()
                        .filter(d -> d.name().equals(camera))
                        .findFirst()
                        .orElseThrow();
        return (DeskWay.OverLine) DeskWays.of(job).from(port).to(device);
    }

    @Test
    void atOnePortOneLeadIsAnothersOther() {
        assertThat(CHAIN.others()).containsExactly(BUS.line());
        assertThat(BUS.others()).containsExactly(CHAIN.line());
        assertThat(way("L12", Optional.of(PORT)).line()).isEqualTo(CHAIN.line());
    }

    /** The server has a socket for each. */
    @Test
    void atTheServerEachHasASocket() {
        for (String camera : List.of("L10", "L13")) {
            DeskWay.OverLine way = way(camera, Optional.empty());
            assertThat(way.others()).isEmpty();
            assertThat(plugged.isThere(1, way)).isTrue();
        }
    }

    @Test
    void ofTwoNeitherIsThereUntilItIsSaid() {
        assertThat(plugged.isThere(1, CHAIN)).isFalse();
        assertThat(plugged.mayBeThere(1, CHAIN)).as("for a stop").isTrue();
        plugged.say(1, CHAIN, "Asha");
        assertThat(plugged.isThere(1, CHAIN)).isTrue();
        assertThat(plugged.mayBeThere(1, BUS)).as("a stop goes to no other lead").isFalse();
        assertThat(plugged.isThere(1, way("L12", Optional.of(PORT)))).isTrue();
        assertThat(plugged.saidBy(1, CHAIN)).hasValue("Asha");
        assertThat(plugged.isThere(1, BUS)).isFalse();
        plugged.say(1, BUS, "Bilal");
        assertThat(plugged.isThere(1, CHAIN)).isFalse();
        assertThat(plugged.saidBy(1, CHAIN)).isEmpty();
    }

    /** The same numbers in another job are other heads, and the port is the same port. */
    @Test
    void anotherJobsLeadTakesItsPlace() {
        plugged.say(1, CHAIN, "Asha");
        assertThat(plugged.isThere(2, CHAIN)).isFalse();
        plugged.say(2, CHAIN, "Bilal");
        assertThat(plugged.isThere(1, CHAIN)).isFalse();
    }

    /** The only lead of its job needs no word, but where another job has said its own. */
    @Test
    void anOnlyLeadGivesWayToAnotherJobsAloneAndCanBeSaidAgain() {
        DeskWay.OverLine here = onlyAtPort();
        assertThat(plugged.isThere(1, here)).isTrue();
        assertThat(plugged.isToBeSaid(1, here)).isFalse();
        plugged.say(2, CHAIN, "Bilal");
        assertThat(plugged.isThere(1, here)).isFalse();
        assertThat(plugged.isToBeSaid(1, here)).isTrue();
        plugged.say(1, here, "Asha");
        assertThat(plugged.isThere(1, here)).isTrue();
        plugged.say(1, CHAIN, "Asha");
        assertThat(plugged.isThere(1, here)).as("what hangs on it was changed").isTrue();
    }

    private static DeskWay.OverLine onlyAtPort() {
        return new DeskWay.OverLine(
                BUS.from(),
                BUS.protocol(),
                BUS.number(),
                BUS.rate(),
                BUS.tells(),
                BUS.line(),
                BUS.moved(),
                List.of());
    }

    @Test
    void aLeadThatWentHomeIsNotThere() {
        plugged.say(1, CHAIN, "Asha");
        plugged.tookHome(1, BUS);
        assertThat(plugged.isThere(1, CHAIN)).isTrue();
        plugged.tookHome(1, CHAIN);
        assertThat(plugged.isThere(1, CHAIN)).isFalse();
    }

    /** Whatever was said: frames of two leads never go out over one port at a time. */
    @Test
    void aPortIsOpenForOneLeadAtATime() {
        LineStart port = new LineStart.OwnPort(PORT);
        HeadLink first = links.onLine(port, CHAIN, new WireLog(1));
        HeadLink second = links.onLine(port, way("L12", Optional.of(PORT)), new WireLog(1));
        first.close();
        assertThatThrownBy(() -> links.onLine(port, BUS, new WireLog(1)))
                .isInstanceOf(Problem.class)
                .hasMessageContaining("Another lead is still in use over " + PORT);
        second.close();
        links.onLine(port, BUS, new WireLog(1)).close();
    }

    /** Somebody changes the plan while L10 is driven. */
    @Test
    void aLeadIsTheSameThoughACameraOnItIsRenamed() {
        plugged.say(1, CHAIN, "Asha");
        LineStart port = new LineStart.OwnPort(PORT);
        HeadLink driven = links.onLine(port, CHAIN, new WireLog(1));
        DeskWay.OverLine renamed =
                way(
                        demo(
                                i ->
                                        "L11".equals(i.text(Field.NAME))
                                                ? i.with(Field.NAME, "Balcony")
                                                : i),
                        "L12",
                        Optional.of(PORT));
        assertThat(renamed.line()).isNotEqualTo(CHAIN.line());
        assertThat(plugged.isThere(1, renamed)).isTrue();
        links.onLine(port, renamed, new WireLog(1)).close();
        driven.close();
    }
}
