package app.jerboa.core.job.bringup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.cabling.CabledHall;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class AskStepsTest {
    private static final LaptopAddress HOME = new LaptopAddress(Ipv4.parse("10.44.8.81"), 24);
    private static final Set<Step.Kind> ASKING =
            Set.of(Step.Kind.LEAD_OUT, Step.Kind.ASK, Step.Kind.LEAD_HOME);
    private static final Profile SERVER =
            SomeProfiles.of("server", "Serial server", Sort.SERIAL_SERVER)
                    .serial(9600)
                    .speaking(Protocol.VISCA_TCP, Transport.TCP, false)
                    .port("SERIAL", Join.RS_232_OUT, 1, PortUse.CONTROL)
                    .profile();

    private final JobUnderTest job =
            new JobUnderTest(CabledHall.STICK, CabledHall.SERIAL_HEAD, CabledHall.HEAD, SERVER);
    private final long stick = job.device("Stick", CabledHall.STICK);
    private final long far = job.device("L1", CabledHall.SERIAL_HEAD);
    private final long near = job.device("L2", CabledHall.SERIAL_HEAD);

    private void chain(long driver, String socket) {
        job.line(1, far, Field.CONTROL_ID, 1);
        job.line(2, near, Field.CONTROL_ID, 2);
        job.run(driver, socket, near, "IN", "serial", 5);
        job.run(near, "OUT", far, "IN", "serial", 5);
    }

    private String asked(Long... aside) {
        Set<DeviceId> left = Stream.of(aside).map(DeviceId::new).collect(Collectors.toSet());
        return asked(Optional.empty(), left);
    }

    private String asked(Optional<String> ownPort, Set<DeviceId> left) {
        return new StepActions(Hall.of(job.job()), ownPort)
                .around(List.of(), HOME, left).stream()
                        .filter(s -> ASKING.contains(s.kind()))
                        .map(s -> s.kind().wire() + " " + name(s.device().orElseThrow()))
                        .collect(Collectors.joining(", "));
    }

    private String name(DeviceId id) {
        return job.job().device(id).orElseThrow().name();
    }

    private String todo(Step.Kind kind, long device) {
        Step step = new Step(kind, Optional.of(new DeviceId(device)), HOME);
        return new StepActions(Hall.of(job.job()))
                .of(step).stream()
                        .map(a -> a.kind() + " " + a.value())
                        .collect(Collectors.joining(", "));
    }

    private Set<Caution> cautions(Step.Kind kind) {
        Step step = new Step(kind, Optional.of(new DeviceId(near)), HOME);
        return new StepActions(Hall.of(job.job())).cautions(step);
    }

    @Test
    void aLeadGoesToTheServerAndHomeAroundItsCamerasAsItPassesThem() {
        job.device("Server", SERVER, Field.ADDRESS, "10.44.8.9");
        chain(stick, "RS-232");
        assertThat(asked()).isEqualTo("lead-out L2, ask L2, ask L1, lead-home L2");
        assertThat(todo(Step.Kind.LEAD_OUT, near))
                .isEqualTo("OUT_OF_PORT Stick RS-232, INTO_PORT Server SERIAL");
        assertThat(todo(Step.Kind.ASK, far)).isEqualTo("ASK_NUMBER 1");
        assertThat(cautions(Step.Kind.LEAD_OUT)).contains(Caution.LEAD_PULLED);
        assertThat(cautions(Step.Kind.LEAD_HOME)).contains(Caution.LEAD_PULLED);
        assertThat(todo(Step.Kind.LEAD_HOME, near))
                .isEqualTo("OUT_OF_PORT Server SERIAL, INTO_PORT Stick RS-232");
    }

    /** The lead still has to be moved for those that are left, and is called as it was. */
    @Test
    void whatIsPutAsideIsNotAsked() {
        job.device("Server", SERVER, Field.ADDRESS, "10.44.8.9");
        chain(stick, "RS-232");
        assertThat(asked(near)).isEqualTo("lead-out L2, ask L1, lead-home L2");
        assertThat(asked(near, far)).isEmpty();
    }

    @Test
    void aLeadGoesToTheLaptopWhereThatHasAPort() {
        job.device("Server", SERVER, Field.ADDRESS, "10.44.8.9");
        chain(stick, "RS-232");
        Step step = new Step(Step.Kind.LEAD_OUT, Optional.of(new DeviceId(near)), HOME);
        assertThat(new StepActions(Hall.of(job.job()), Optional.of("/dev/port")).of(step))
                .extracting(Action::value)
                .containsExactly("Stick RS-232", "/dev/port");
    }

    /** No server is planned at all: the port of this machine is enough. */
    @Test
    void aPortOfTheLaptopNeedsNoServer() {
        chain(stick, "RS-232");
        assertThat(asked()).isEmpty();
        assertThat(asked(Optional.of("/dev/port"), Set.of()))
                .isEqualTo("lead-out L2, ask L2, ask L1, lead-home L2");
    }

    @Test
    void aLeadThatIsOnTheServerStaysThere() {
        long server = job.device("Server", SERVER, Field.ADDRESS, "10.44.8.9");
        chain(server, "SERIAL");
        assertThat(asked()).isEqualTo("ask L2, ask L1");
        // A port of the laptop takes that server's place.
        assertThat(asked(Optional.of("/dev/port"), Set.of())).isEqualTo("ask L2, ask L1");
    }

    /** It cannot be asked without a server, and is verified at an address of its own. */
    @Test
    void nothingElseIsAsked() {
        chain(stick, "RS-232");
        job.line(3, job.device("L3", CabledHall.HEAD, Field.ADDRESS, "10.44.8.23"));
        assertThat(asked()).isEmpty();
    }
}
