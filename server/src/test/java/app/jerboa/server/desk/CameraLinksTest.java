package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.HeadLinks;
import app.jerboa.server.world.PluggedLeads;
import app.jerboa.server.world.WireLogs;
import app.jerboa.wire.link.session.HeadLink;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** L10's chain and L13's bus come to one port of this machine, and nobody said which is there. */
class CameraLinksTest {
    private final Job demo = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private final Jobs.Stored stored = new Jobs.Stored(1, 1, 200, demo, Observed.NONE, 0);
    private final DeskWays ways = DeskWays.of(demo).from(Optional.of("/dev/ttyUSB0"));
    private final Device camera =
            demo.devices().stream().filter(d -> d.name().equals("L10")).findFirst().orElseThrow();
    private final long number = camera.id().value();
    private final Contacts contacts = mock();
    private final HeadLinks heads = mock();
    private final PluggedLeads plugged = new PluggedLeads();
    private final CameraLinks links = new CameraLinks(contacts, heads, new WireLogs(), plugged);

    @BeforeEach
    void everyLineOpens() {
        HeadLink head = mock();
        when(contacts.ways(any())).thenReturn(ways);
        when(heads.onLine(any(), any(), any())).thenReturn(head);
    }

    @Test
    void nothingIsDrivenOrToldUntilItIsSaid() {
        assertThatThrownBy(() -> links.connect(stored, number, "desk"))
                .isInstanceOf(Problem.class)
                .hasMessageContaining("/dev/ttyUSB0 also takes the lead of L13, one at a time");
        assertThatThrownBy(() -> links.told(stored, camera)).isInstanceOf(Problem.class);
        plugged.say(1, (DeskWay.OverLine) ways.to(camera), "Asha");
        assertThat(links.connect(stored, number, "desk").id()).isEqualTo(new CameraId(1, number));
    }

    /** After a start: what this server had moving is stopped before anybody can say anything. */
    @Test
    void aStopGoesOutAllTheSame() {
        assertThat(links.aside(stored, number, "").id()).isEqualTo(new CameraId(1, number));
    }
}
