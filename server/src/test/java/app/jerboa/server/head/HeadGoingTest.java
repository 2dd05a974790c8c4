package app.jerboa.server.head;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.profile.Head;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.head.HeadReading.Axis;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A simulated head that goes on a while when it is let go, driven by steps only. */
class HeadGoingTest {
    /** What a stick that is held every 25 ms sees. */
    private static final double TICK_SECONDS = 0.025;

    private final MachineDesk desk = mock();
    private final HeadLink link = mock();
    private Head head;
    private double pan;
    private double tilt;
    private double zoom;
    private double held;

    private HeadGoing of(String profile) {
        head = TestProfiles.profiles().find(profile).orElseThrow().head().orElseThrow();
        HeadLink.Abilities can = mock();
        when(can.countsPerDegree()).thenReturn(OptionalDouble.of(head.countsPerDegree()));
        when(link.can()).thenReturn(can);
        when(link.askPanTilt(anyBoolean()))
                .thenAnswer(
                        i ->
                                CompletableFuture.completedFuture(
                                        new PanTilt(counts(pan), counts(tilt))));
        when(link.askZoom(anyBoolean()))
                .thenAnswer(
                        i ->
                                CompletableFuture.completedFuture(
                                        new ZoomPosition((int) Math.round(zoom))));
        when(desk.link()).thenReturn(link);
        when(desk.head()).thenReturn(head);
        doAnswer(
                        i -> {
                            hold(
                                    i.getArgument(0),
                                    i.getArgument(1),
                                    i.getArgument(2),
                                    i.<Long>getArgument(3),
                                    i.getArgument(4));
                            return null;
                        })
                .when(desk)
                .hold(anyInt(), anyInt(), anyInt(), anyLong(), any());
        return new HeadGoing(desk);
    }

    private int counts(double degrees) {
        return (int) Math.round(degrees * head.countsPerDegree());
    }

    private void hold(int p, int t, int z, long millis, BooleanSupplier until) {
        double end = held + millis / 1000.0;
        while (held < end && !until.getAsBoolean()) {
            goOn(p, t, z, TICK_SECONDS);
            held += TICK_SECONDS;
        }
        // The stop is heard a tick later, and the head brakes.
        double braking = head.acceleration().orElse(90);
        goOn(p, t, z, TICK_SECONDS);
        pan += Math.signum(p) * braked(head.pan(), p, braking);
        tilt += Math.signum(t) * braked(head.tilt(), t, braking);
    }

    private static double braked(SpeedScale scale, int step, double braking) {
        double speed = scale.at(Math.abs(step));
        return speed * speed / (2 * braking);
    }

    private void goOn(int p, int t, int z, double seconds) {
        pan += Math.signum(p) * head.pan().at(Math.abs(p)) * seconds;
        tilt += Math.signum(t) * head.tilt().at(Math.abs(t)) * seconds;
        double moved = Math.signum(z) * head.zoom().at(Math.abs(z)) * seconds * ZoomPosition.TELE;
        zoom = Math.max(0, Math.min(ZoomPosition.TELE, zoom + moved));
    }

    /** Far or near, it arrives: within a tenth of a degree, or as near as its slowest step goes. */
    @ParameterizedTest
    @ValueSource(strings = {"ceiling-ptz", "ceiling-ptz-serial", "cinema-head", "gimbal-camera"})
    void itArrivesFromAnywhere(String profile) {
        HeadGoing going = of(profile);
        Random random = new Random(11);
        for (int i = 0; i < 40; i++) {
            held = 0;
            double toPan = random.nextInt(-60, 60) + random.nextDouble();
            double toTilt = random.nextInt(-20, 20) + random.nextDouble();
            int toZoom = random.nextInt(ZoomPosition.TELE);
            going.to(Axis.PAN, counts(toPan));
            going.to(Axis.TILT, counts(toTilt));
            going.to(Axis.ZOOM, toZoom);
            double slowest = head.pan().slowest() * 3 * TICK_SECONDS;
            assertThat(pan).as("pan, %d", i).isCloseTo(toPan, within(0.15 + slowest));
            assertThat(tilt).as("tilt, %d", i).isCloseTo(toTilt, within(0.15 + slowest));
            assertThat(zoom).as("zoom, %d", i).isCloseTo(toZoom, within(ZoomPosition.TELE / 80.0));
            assertThat(held).as("seconds held, %d", i).isLessThan(30);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"ceiling-ptz"})
    void whatWasNotedIsPutBack(String profile) {
        HeadGoing going = of(profile);
        pan = 12.5;
        tilt = -7;
        zoom = 4_000;
        String place = going.place();
        pan = -50;
        tilt = 10;
        zoom = 0;
        going.putBack(place);
        assertThat(pan).isCloseTo(12.5, within(0.15));
        assertThat(tilt).isCloseTo(-7, within(0.15));
        assertThat(zoom).isCloseTo(4_000, within(200.0));
    }
}
