package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;

import app.jerboa.core.motion.Feel;
import app.jerboa.core.motion.Push;
import app.jerboa.core.motion.SoftLimits;
import app.jerboa.core.motion.StickLaw;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.platform.OpenLines;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.Stopping.Outcome;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A program at the stick, on a machine that stands still for a moment. */
class MachineDeskTest {
    private static final CameraId L1 = new CameraId(1, 7);

    private final FakeHead head = new FakeHead();
    private final AtomicLong clock = new AtomicLong(1_000_000_000L);
    private Driving driving;
    private MachineDesk machine;

    @BeforeEach
    void taken() {
        machine =
                new MachineDesk(
                        mock(),
                        mock(OpenLines.class),
                        desk -> {
                            driving =
                                    new Driving(
                                            new FakeMarks(),
                                            desk::hear,
                                            clock::get,
                                            (camera, stopping) -> {});
                            return Desk.ofMachine("m", "", mock(), mock(), driving);
                        });
        Profile of = TestProfiles.profiles().find("ceiling-ptz").orElseThrow();
        CameraLink link =
                new CameraLink(
                        L1,
                        "holder",
                        "L1",
                        of.id(),
                        of.head().orElseThrow(),
                        of.presets(),
                        StickLaw.linear(),
                        head,
                        new WireLog(10));
        Gate clear = new Gate(true, false, SoftLimits.NONE, Turned.NOT);
        driving.take(
                link,
                new Taking(clock.get() + 60_000_000_000L, clear, Feel.plain(StickLaw.linear())));
        driving.stick(Push.CENTRE, 1);
    }

    /** Nothing comes of the stick for longer than it may be silent, and the watch sees it. */
    private void standsStill() {
        clock.addAndGet((Driving.SILENCE_MILLIS + 50) * 1_000_000L);
        driving.watch();
        head.lastStop().complete(Outcome.STANDING);
    }

    @Test
    void afterASilenceOfItsOwnItGoesOn() {
        AtomicInteger looks = new AtomicInteger();
        hold(
                () -> {
                    int look = looks.incrementAndGet();
                    if (look == 3 || look == 8) {
                        standsStill();
                    }
                    return look > 12;
                });
        assertThat(head.told)
                .containsExactly("drive 12 0", "stop", "drive 12 0", "stop", "drive 12 0", "stop");
    }

    /** One that is silent again and again is not driven on. */
    @Test
    void whatGoesSilentAgainAndAgainIsLeft() {
        AtomicInteger looks = new AtomicInteger();
        assertThatThrownBy(
                        () ->
                                hold(
                                        () -> {
                                            if (looks.incrementAndGet() % 3 == 0) {
                                                standsStill();
                                            }
                                            return looks.get() > 100;
                                        }))
                .isInstanceOf(MachineStopped.class)
                .hasMessage(Driving.SILENT);
        assertThat(head.told).last().isEqualTo("stop");
    }

    @Test
    void aStopFromElsewhereEndsIt() {
        AtomicInteger looks = new AtomicInteger();
        assertThatThrownBy(
                        () ->
                                hold(
                                        () -> {
                                            if (looks.incrementAndGet() == 3) {
                                                driving.stopFromElsewhere("STOP ALL");
                                                head.lastStop().complete(Outcome.STANDING);
                                            }
                                            return looks.get() > 100;
                                        }))
                .isInstanceOf(MachineStopped.class)
                .hasMessage("STOP ALL");
        assertThat(looks).hasValueLessThan(6);
        assertThat(head.told).containsExactly("drive 12 0", "stop");
    }

    /**
     * All is stopped while its stick is centred after a silence: what it pushes next is nothing.
     */
    @Test
    void aStopWhileItLetsGoEndsItToo() {
        AtomicInteger looks = new AtomicInteger();
        assertThatThrownBy(
                        () ->
                                hold(
                                        () -> {
                                            int look = looks.incrementAndGet();
                                            if (look == 3) {
                                                standsStill();
                                            } else if (look == 4) {
                                                driving.stopFromElsewhere("STOP ALL");
                                            }
                                            return look > 12;
                                        }))
                .isInstanceOf(MachineStopped.class)
                .hasMessage("STOP ALL");
        assertThat(head.told).containsExactly("drive 12 0", "stop", "stop");
    }

    /** Between two moves nobody holds the stick, and no stop was seen done yet. */
    @Test
    void aStopBetweenTwoMovesEndsItAtOnce() {
        AtomicInteger looks = new AtomicInteger();
        hold(() -> looks.incrementAndGet() > 2);
        driving.stopFromElsewhere("STOP ALL");
        head.told.clear();
        assertThatThrownBy(() -> hold(() -> false))
                .isInstanceOf(MachineStopped.class)
                .hasMessage("STOP ALL");
        driving.stick(new Push(1, 0, 0, 0, 0, 0), 1);
        driving.recall(1);
        driving.home();
        assertThat(head.told).isEmpty();
    }

    private void hold(BooleanSupplier until) {
        machine.hold(12, 0, 0, 10_000, until);
    }
}
