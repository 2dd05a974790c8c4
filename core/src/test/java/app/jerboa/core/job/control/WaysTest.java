package app.jerboa.core.job.control;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.kit.KitRemoving;
import app.jerboa.core.profile.LensFit;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Ways through one thing between, what they carry, and what is left when something goes. */
class WaysTest {
    private static final Profile SERIAL =
            SomeProfiles.of("serial", "Serial PTZ", Sort.CEILING_PTZ)
                    .optics(LensFit.BUILT_IN, true, false)
                    .speaking(
                            Protocol.VISCA_SERIAL,
                            Transport.RS_232,
                            false,
                            RemoteFunction.PAN_TILT,
                            RemoteFunction.ZOOM)
                    .profile();
    private static final Profile SERVER =
            SomeProfiles.of("server", "Serial server", Sort.SERIAL_SERVER)
                    .speaking(
                            Protocol.VISCA_TCP,
                            Transport.TCP,
                            false,
                            RemoteFunction.PAN_TILT,
                            RemoteFunction.ZOOM,
                            RemoteFunction.FOCUS)
                    .speaking(
                            Protocol.VISCA_SERIAL,
                            Transport.RS_232,
                            true,
                            RemoteFunction.PAN_TILT,
                            RemoteFunction.FOCUS)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.HYBRID_STICK)
                    .keys(8, 1, false)
                    .speaking(
                            Protocol.VISCA_TCP,
                            Transport.TCP,
                            true,
                            RemoteFunction.PAN_TILT,
                            RemoteFunction.ZOOM)
                    .profile();
    private static final Profile GIMBAL =
            SomeProfiles.of("gimbal", "Gimbal", Sort.GIMBAL_CAMERA)
                    .speaking(Protocol.SHORT_RANGE, Transport.RADIO, false, RemoteFunction.PAN_TILT)
                    .profile();
    private static final Profile BRIDGE =
            SomeProfiles.of("bridge", "Bridge", Sort.CONTROL_BRIDGE)
                    .speaking(Protocol.VISCA_TCP, Transport.TCP, false, RemoteFunction.PAN_TILT)
                    .speaking(Protocol.SHORT_RANGE, Transport.RADIO, true, RemoteFunction.PAN_TILT)
                    .profile();

    private final JobUnderTest test = new JobUnderTest(SERIAL, SERVER, STICK, GIMBAL, BRIDGE);

    private static List<ControlRoute> ways(Job job, int line, RemoteFunction function) {
        return ControlRoutes.of(job).all(job.lines().get(line), function);
    }

    /** The server gives out pan and focus, the stick sends pan and zoom: only pan gets through. */
    @ParameterizedTest
    @EnumSource(
            value = RemoteFunction.class,
            names = {"PAN_TILT", "ZOOM", "FOCUS", "PAINT"})
    void aWayCarriesWhatEveryPartOfItCarries(RemoteFunction function) {
        test.device("Stick", STICK);
        test.device("Server", SERVER);
        test.line(1, test.device("L1", SERIAL));
        assertThat(ways(test.job(), 0, function))
                .hasSize(function == RemoteFunction.PAN_TILT ? 1 : 0);
    }

    @Test
    void itSaysWhatStandsBetweenAndWhatIsNeeded() {
        long stick = test.device("Stick", STICK);
        test.device("Server", SERVER);
        test.line(1, test.device("L1", SERIAL), Field.CONTROLLER, stick, Field.KEY, 3);
        ControlRoute way = ways(test.job(), 0, RemoteFunction.PAN_TILT).get(0);
        assertThat(way.through()).extracting(d -> d.name()).containsExactly("Server");
        assertThat(way.key()).hasValue(3);
        assertThat(way.needs()).containsExactly(RouteNeed.CHAIN);
        assertThat(way.ready()).isTrue();
    }

    @Test
    void aBridgeOnAnotherCameraIsNoWayToThisOne() {
        test.device("Stick", STICK);
        long first = test.device("L1", GIMBAL);
        test.line(1, first);
        test.line(2, test.device("L2", GIMBAL));
        test.device("Bridge", BRIDGE, Field.FITTED, first);
        assertThat(ways(test.job(), 0, RemoteFunction.PAN_TILT)).hasSize(1);
        assertThat(ways(test.job(), 1, RemoteFunction.PAN_TILT)).isEmpty();
    }

    @Test
    void aLooseBridgeMustBeFittedFirst() {
        test.device("Stick", STICK);
        test.device("Bridge", BRIDGE);
        test.line(1, test.device("L1", GIMBAL));
        assertThat(ways(test.job(), 0, RemoteFunction.PAN_TILT).get(0).needs())
                .contains(RouteNeed.FITTING, RouteNeed.KEY, RouteNeed.RANGE);
    }

    /** Whoever leaves takes its mount, line and routes along; what pointed to it points nowhere. */
    @Test
    void whatPointsToADeviceIsLoosenedWhenItGoesAndComesBack() {
        long stick = test.device("Stick", STICK);
        long camera = test.device("L1", SERIAL);
        long lens = test.device("Bridge", BRIDGE, Field.FITTED, camera);
        long line = test.line(1, camera, Field.CONTROLLER, stick, Field.KEY, 1);
        test.mount(camera, Field.PLACE, "wall");
        test.add(
                ItemKind.ROUTE,
                Field.ROUTE_LINE,
                line,
                Field.ROUTE_FUNCTION,
                "zoom",
                Field.ROUTE_BY,
                stick,
                Field.ROUTE_PROTOCOL,
                "visca-tcp");
        Job job = test.job();
        ChangeSet camerasEnd = KitRemoving.of(job, Set.of(new DeviceId(camera)));
        Job without = test.after(camerasEnd);
        assertThat(without.lines()).isEmpty();
        assertThat(without.mounts()).isEmpty();
        assertThat(without.routes()).isEmpty();
        assertThat(without.device(new DeviceId(lens)).orElseThrow().fitted()).isEmpty();
        assertThat(test.editor().apply(without, camerasEnd.inverse())).isEqualTo(job);
        Job noStick = test.after(KitRemoving.of(job, Set.of(new DeviceId(stick))));
        assertThat(noStick.routes()).isEmpty();
        assertThat(noStick.lines().get(0).key()).isEmpty();
    }
}
