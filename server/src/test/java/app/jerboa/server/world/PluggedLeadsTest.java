package app.jerboa.server.world;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.Field;
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
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The chain of L10 to L12 and the bus of L13, at one port of this machine. */
class PluggedLeadsTest {
    private static final String PORT = "/dev/no-such-port";

    /** L12's number apart from L11's. */
    private static final Job JOB =
            new JobEditor(TestProfiles.profiles())
                    .read(
                            DemoItems.all().stream()
                                    .map(
                                            i ->
                                                    i.ref().kind() == ItemKind.LINE
                                                                    && "12"
                                                                            .equals(
                                                                                    i.text(
                                                                                            Field
                                                                                                    .NUMBER))
                                                            ? i.with(Field.CONTROL_ID, "3")
                                                            : i)
                                    .toList());

    private static final DeskWay.OverLine CHAIN = way("L10", Optional.of(PORT));
    private static final DeskWay.OverLine BUS = way("L13", Optional.of(PORT));

    private final PluggedLeads plugged = new PluggedLeads();
    private final HeadLinks links = new HeadLinks();

    @AfterEach
    void close() {
        links.close();
    }

    private static DeskWay.OverLine way(String camera, Optional<String> port) {
        Device device =
                JOB.devices().stream()
                        .filter(d -> d.name().equals(camera))
                        .findFirst()
                        .orElseThrow();
        return (DeskWay.OverLine) DeskWays.of(JOB).from(port).to(device);
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
        plugged.say(1, CHAIN, "Asha");
        assertThat(plugged.isThere(1, CHAIN)).isTrue();
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
}
