package app.jerboa.core.job.control;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.identity.LineOrder;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.LensFit;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The ways there are, in which order, and lines made and moved. */
class ControlRoutesTest {
    private static final Profile PTZ =
            SomeProfiles.of("ptz", "PTZ", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .ids(1, 7)
                    .optics(LensFit.BUILT_IN, true, false)
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                    .speaking(Protocol.ONVIF, Transport.TCP, false)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, false)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .keys(8, 1, false)
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, true)
                    .speaking(Protocol.ONVIF, Transport.TCP, true)
                    .profile();
    private static final Profile RECORDER =
            SomeProfiles.of("recorder", "Recorder", Sort.RECORDER)
                    .at("10.90.0.9")
                    .speaking(Protocol.ONVIF, Transport.TCP, true)
                    .speaking(Protocol.ONVIF, Transport.TCP, false)
                    .profile();
    private static final Profile SWITCHER =
            SomeProfiles.of("switcher", "Switcher", Sort.VIDEO_SWITCHER)
                    .port("INPUT", Join.SDI_IN, 4, PortUse.PICTURE)
                    .profile();

    private final JobUnderTest test = new JobUnderTest(PTZ, STICK, RECORDER, SWITCHER);

    private List<String> ways(RemoteFunction function) {
        Job job = test.job();
        Line line = job.lines().get(0);
        return ControlRoutes.of(job).all(line, function).stream()
                .map(
                        r ->
                                r.by().name()
                                        + " "
                                        + r.sends().protocol()
                                        + r.through().stream()
                                                .map(d -> " > " + d.name())
                                                .reduce("", String::concat))
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "direct, mixed, Stick visca-ip",
        "direct, rs-232, Stick visca-serial",
        "through-recorder, mixed, Stick onvif > Recorder",
    })
    void theHouseDecidesWhichWayIsFirst(String access, String wiring, String first) {
        long stick = test.device("Stick", STICK);
        test.device("Recorder", RECORDER);
        test.line(1, test.device("L1", PTZ), Field.CONTROLLER, stick, Field.KEY, 1);
        test.site(Field.PRACTICE_ACCESS, access);
        test.site(Field.PRACTICE_WIRING, wiring);
        assertThat(ways(RemoteFunction.PAN_TILT)).hasSize(5).first().isEqualTo(first);
    }

    @Test
    void whoHasTheKeyGoesFirstAndAChoiceBeforeThat() {
        long one = test.device("Stick 1", STICK);
        long two = test.device("Stick 2", STICK);
        long line = test.line(1, test.device("L1", PTZ), Field.CONTROLLER, two, Field.KEY, 1);
        assertThat(ways(RemoteFunction.ZOOM)).first().isEqualTo("Stick 2 visca-ip");
        test.add(
                ItemKind.ROUTE,
                Field.ROUTE_LINE,
                line,
                Field.ROUTE_FUNCTION,
                "zoom",
                Field.ROUTE_BY,
                one,
                Field.ROUTE_PROTOCOL,
                "onvif");
        assertThat(ways(RemoteFunction.ZOOM)).first().isEqualTo("Stick 1 onvif");
        assertThat(ways(RemoteFunction.PAN_TILT)).first().isEqualTo("Stick 2 visca-ip");
        assertThat(ways(RemoteFunction.TRACKING)).isEmpty();
    }

    @Test
    void linesAreMadeFromTheKitAndWhatIsPlannedStays() {
        for (int n = 1; n <= 3; n++) {
            test.line(n, test.device("L" + n, PTZ));
        }
        test.device("Stick", STICK);
        test.device("Switcher", SWITCHER);
        ChangeSet made = LinesMaking.missing(test.editor(), test.job());
        Job after = test.after(made);
        assertThat(after.lines())
                .allSatisfy(
                        l -> {
                            assertThat(l.key().orElseThrow().number()).isEqualTo(l.number());
                            assertThat(l.input().orElseThrow().number()).isEqualTo(l.number());
                        });
        assertThat(LinesMaking.missing(test.editor(), after).isEmpty()).isTrue();
    }

    @Test
    void aLineThatMovesTakesItsNumbersAlongAndLeavesTheOddOnes() {
        long stick = test.device("Stick", STICK);
        long third = 0;
        for (int n = 1; n <= 3; n++) {
            third =
                    test.line(
                            n,
                            test.device("L" + n, PTZ, Field.ADDRESS, "10.44.8.2" + n),
                            Field.CONTROLLER,
                            stick,
                            Field.KEY,
                            n == 2 ? 7 : n);
        }
        Job after = test.after(LineOrder.moved(test.job(), third, 0));
        assertThat(after.lines())
                .extracting(l -> l.key().orElseThrow().number())
                .containsExactly(1, 2, 7);
        assertThat(after.lines())
                .extracting(l -> after.device(l.camera()).orElseThrow().name())
                .containsExactly("L1", "L2", "L3");
        assertThat(after.lines())
                .extracting(l -> after.device(l.camera()).orElseThrow().address().orElseThrow())
                .extracting(Object::toString)
                .containsExactly("10.44.8.21", "10.44.8.22", "10.44.8.23");
        assertThat(after.lines().get(0).id()).isEqualTo(third);
        assertThat(LineOrder.moved(after, third, 0).isEmpty()).isTrue();
    }
}
