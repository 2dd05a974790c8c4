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
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.PluggedLeads;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Who may say that L10's chain is at the port that L13's bus comes to as well. */
class LeadControllerTest {
    private static final long JOB = 1;

    private final Job demo = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private final DeskWays atServer = DeskWays.of(demo);
    private final DeskWays atPort = atServer.from(Optional.of("/dev/ttyUSB0"));
    private final Jobs jobs = mock();
    private final Contacts contacts = mock();
    private final Gates gates = mock();
    private final Author asha = mock();
    private final PluggedLeads plugged = new PluggedLeads();
    private final LeadController leads =
            new LeadController(jobs, contacts, plugged, gates, mock(), mock());

    private void by(DeskWays ways) {
        when(jobs.load(JOB)).thenReturn(new Jobs.Stored(JOB, 1, 200, demo, Observed.NONE, 0));
        when(contacts.ways(any())).thenReturn(ways);
        when(asha.displayName()).thenReturn("Asha");
    }

    private long number(String camera) {
        return demo.devices().stream()
                .filter(d -> d.name().equals(camera))
                .mapToLong(d -> d.id().value())
                .findFirst()
                .orElseThrow();
    }

    private boolean isThere(String camera) {
        Device device =
                demo.devices().stream()
                        .filter(d -> d.name().equals(camera))
                        .findFirst()
                        .orElseThrow();
        return plugged.isThere(JOB, (DeskWay.OverLine) atPort.to(device));
    }

    private void drives(String camera) {
        long device = number(camera);
        when(gates.said(JOB))
                .thenReturn(
                        Map.of(
                                device,
                                new GateMapper.Said(device, true, false, "Mei Farrow", "up", "")));
    }

    /** L10 itself may be driven from another desk: its lead stays where it is. */
    @Test
    void itIsThereOnceItIsSaid() {
        by(atPort);
        drives("L10");
        leads.there(JOB, number("L10"), asha);
        assertThat(isThere("L10")).isTrue();
        assertThat(isThere("L13")).isFalse();
    }

    @Test
    void noLeadIsPulledFromUnderAHeadThatSomebodyDrives() {
        by(atPort);
        drives("L13");
        assertThatThrownBy(() -> leads.there(JOB, number("L10"), asha))
                .isInstanceOf(Problem.class)
                .hasMessageContaining("Mei Farrow still drives L13");
        assertThat(isThere("L10")).isFalse();
    }

    @Test
    void whereEachHasItsSocketNothingIsToBeSaid() {
        by(atServer);
        for (String camera : new String[] {"L1", "L10"}) {
            assertThatThrownBy(() -> leads.there(JOB, number(camera), asha))
                    .isInstanceOf(Problem.class)
                    .hasMessageContaining("No other lead comes");
        }
    }
}
