package app.jerboa.server.bringup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.prove.ControlNow;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.Laptop;
import app.jerboa.server.world.World;
import app.jerboa.server.world.Worlds;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The cards that tick themselves by what is seen. */
class WatchingTest {
    private final Job demo = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private final Jobs.Stored stored = new Jobs.Stored(1, 1, 200, demo, Observed.NONE, 0);
    private final World world = mock();
    private final Worlds worlds = mock();
    private final ControlNow control = mock();
    private final Contacts contacts = mock();
    private final RouteCheck route = new RouteCheck(control, contacts);
    private final Watching watching =
            new Watching(worlds, new StepCheck(worlds, mock(), mock(), route), route);

    /** Wi-Fi may stay on the house; what a camera starts on is no place for a laptop. */
    @ParameterizedTest
    @CsvSource({
        "hop-out, 192.168.77.250/24, '', 192.168.77.250/24",
        "hop-out, 10.44.8.105/24, 192.168.77.250/24, 192.168.77.250/24",
        "hop-out, 10.44.8.105/24, 192.168.77.9/24, 192.168.77.9/24",
        "hop-out, 10.44.8.105/24, 192.168.77.10/24, ",
        "hop-out, 10.44.8.105/24, '', ",
        "hop-out, '', '', ",
        "alias, 10.44.8.105/24, 192.168.77.250/24, 192.168.77.250/24",
        "alias, 10.44.8.105/24, '', ",
    })
    void theLaptopsCardTicksItself(String kind, String own, String also, String there) {
        when(worlds.of(1)).thenReturn(world);
        when(world.laptop(any()))
                .thenReturn(
                        Optional.of(new Laptop(own, also.isEmpty() ? List.of() : List.of(also))));
        Step step =
                new Step(
                        Step.Kind.fromWire(kind).orElseThrow(),
                        Optional.empty(),
                        LaptopAddress.parse("192.168.77.250/24"));
        assertThat(watching.sign(stored, step)).get().asString().contains("192.168.77.250/24");
        Optional<StepCheck.Result> seen = watching.see(stored, step, true);
        assertThat(seen.isPresent()).isEqualTo(there != null);
        seen.ifPresent(
                result -> {
                    assertThat(result.evidence()).isEqualTo("asked");
                    assertThat(result.saw()).contains(there);
                });
    }

    /** By the lead's other end; what is asked twice is the camera, and nobody presses for it. */
    @ParameterizedTest
    @CsvSource({
        "true, , true, true, true",
        "true, , false, true, false",
        "false, , true, false, false",
        // Nothing answers on the network, but the lead is on a port of this machine.
        "false, /dev/ttyUSB0, true, true, true",
    })
    void aCameraOnALeadTicksItselfOnceItAnswers(
            boolean server, String ownPort, boolean answers, boolean watched, boolean ticked) {
        Device head = camera("L10");
        when(worlds.of(1)).thenReturn(world);
        when(contacts.ways(any())).thenReturn(DeskWays.of(demo).from(Optional.ofNullable(ownPort)));
        when(world.canAsk(any(Device.class))).thenReturn(server);
        when(control.ask(stored, head))
                .thenReturn(new ControlNow.Came(answers, "VISCA on a lead", List.of()));
        Step ask =
                new Step(
                        Step.Kind.ASK,
                        Optional.of(head.id()),
                        LaptopAddress.parse("192.168.77.250/24"));
        assertThat(watching.sign(stored, ask).isPresent()).isEqualTo(watched);
        assertThat(watching.see(stored, ask, true).map(StepCheck.Result::evidence))
                .isEqualTo(ticked ? Optional.of("asked") : Optional.empty());
    }

    private Device camera(String name) {
        return demo.devices().stream().filter(d -> d.name().equals(name)).findFirst().orElseThrow();
    }
}
