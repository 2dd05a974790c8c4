package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.motion.Between;
import app.jerboa.core.motion.Feel;
import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.motion.Push;
import app.jerboa.core.motion.SoftLimits;
import app.jerboa.core.motion.StickLaw;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.Stopping.Outcome;
import app.jerboa.wire.visca.PanTilt;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The stop contract of one desk, with a clock that the test sets and a head that writes down. */
class DrivingTest {
    private static final CameraId L1 = new CameraId(1, 4);
    private static final CameraId L2 = new CameraId(1, 5);
    private static final Feel RAMPED = new Feel(0.08, 3, 0.3, Feel.Speeds.FULL, 5);

    private final FakeMarks marks = new FakeMarks();
    private final FakeHead head = new FakeHead();
    private final List<Object> screen = new ArrayList<>();
    private final List<CameraId> letGo = new ArrayList<>();
    private long now = 1_000_000_000L;
    private final CameraLink l1 = link(L1, head);
    private final Driving driving =
            new Driving(
                    marks, screen::add, () -> now, (camera, stopping) -> letGo.add(camera.id()));

    private static CameraLink link(CameraId id, FakeHead head) {
        return link(id, head, "ceiling-ptz");
    }

    private static CameraLink link(CameraId id, FakeHead head, String profile) {
        Profile of = TestProfiles.profiles().find(profile).orElseThrow();
        return new CameraLink(
                id,
                "holder",
                "L" + id.device(),
                profile,
                of.head().orElseThrow(),
                of.presets(),
                StickLaw.linear(),
                head,
                new WireLog(10));
    }

    private static Gate gate(boolean clear, boolean onAir) {
        return new Gate(clear, onAir, SoftLimits.NONE, Turned.NOT);
    }

    private Taking terms(Gate gate, Feel feel) {
        return new Taking(now + 60_000_000_000L, gate, feel);
    }

    private Taking open() {
        return terms(gate(true, false), Feel.plain(StickLaw.linear()));
    }

    private static Pointing at(int pan, int tilt) {
        return new Pointing(new PanTilt(pan, tilt), pan, tilt, 60);
    }

    /** Asked and said at once. */
    private void seen(Pointing where) {
        driving.asks().ifPresent(asked -> driving.seen(asked, where));
    }

    private void pass(int millis) {
        now += millis * 1_000_000L;
    }

    /** As a page does it: the stick is repeated, each time with a sign of life; the watch runs. */
    private void push(double pan) {
        driving.sign();
        driving.stick(Push.of(pan, 0), 1);
        driving.watch();
    }

    private <T> List<T> told(Class<T> type) {
        return screen.stream().filter(type::isInstance).map(type::cast).toList();
    }

    @BeforeEach
    void takeL1() {
        assertThat(driving.take(l1, open())).isTrue();
    }

    @Test
    void aReleasedStickStopsAtOnce() {
        push(1);
        assertThat(head.told).containsExactly("drive 24 0");
        push(0);
        assertThat(head.told).last().isEqualTo("stop");
        head.lastStop().complete(Outcome.STANDING);
        assertThat(told(DeskMessages.Stopped.class))
                .containsExactly(new DeskMessages.Stopped(4, true, false, "released"));
    }

    /** The page repeats every 50 ms and the watch looks every 20: the stop is out within 300 ms. */
    @Test
    void aSilentStickIsStoppedWithin300Milliseconds() {
        push(1);
        for (int silence = 0; silence <= 200; silence += 20) {
            driving.watch();
            assertThat(head.told).as("after %d ms", silence).doesNotContain("stop");
            pass(20);
        }
        driving.watch();
        assertThat(head.told).last().isEqualTo("stop");
        push(1);
        assertThat(head.told).as("the stick must centre first").last().isEqualTo("stop");
        push(0);
        push(-1);
        assertThat(head.told).last().isEqualTo("drive -24 0");
    }

    @Test
    void nothingMovesBeforeItIsStored() {
        marks.atOnce = false;
        push(1);
        push(0.5);
        assertThat(head.told).isEmpty();
        assertThat(marks.asked).hasSize(1);
        marks.asked.get(0).complete(null);
        assertThat(head.told).as("the newest wish").containsExactly("drive 11 0");
    }

    @Test
    void aWishThatIsOldWhenItIsStoredIsForgotten() {
        marks.atOnce = false;
        push(1);
        pass(201);
        marks.asked.get(0).complete(null);
        assertThat(head.told).isEmpty();
        driving.watch();
        assertThat(driving.isMoving()).isFalse();
    }

    @Test
    void aStickReleasedWhileItIsStoredDoesNotMove() {
        marks.atOnce = false;
        push(1);
        push(0);
        marks.asked.get(0).complete(null);
        assertThat(head.told).containsOnly("stop");
    }

    @Test
    void withoutTheDatabaseNothingMovesAndThePageSaysSo() {
        marks.atOnce = false;
        push(1);
        marks.asked.get(0).completeExceptionally(new IllegalStateException("away"));
        assertThat(head.told).isEmpty();
        assertThat(told(DeskMessages.Trouble.class)).hasSize(1);
        push(1);
        assertThat(marks.asked).as("the stick must centre first").hasSize(1);
    }

    /** The row may be gone by then: what matters is asked anew before every motion. */
    @Test
    void afterAStopAllTheNextDriveIsStoredAgain() {
        push(1);
        driving.stopFromElsewhere("STOP ALL");
        head.lastStop().complete(Outcome.STANDING);
        assertThat(told(DeskMessages.Stopped.class))
                .containsExactly(new DeskMessages.Stopped(4, true, false, "STOP ALL"));
        push(1);
        assertThat(head.told).as("held through it").last().isEqualTo("stop");
        marks.stored.clear();
        push(0);
        push(1);
        assertThat(marks.asked).hasSize(2);
        assertThat(head.told).last().isEqualTo("drive 24 0");
    }

    @Test
    void aStopIsOwedUntilTheHeadIsSeenStanding() {
        push(1);
        push(0);
        pass(900);
        driving.sign();
        driving.watch();
        assertThat(told(DeskMessages.Stopped.class)).isEmpty();
        pass(101);
        driving.watch();
        driving.watch();
        assertThat(told(DeskMessages.Stopped.class))
                .containsExactly(new DeskMessages.Stopped(4, false, false, "released"));
        assertThat(driving.owing()).isEmpty();
        pass(1_000);
        assertThat(driving.owing()).contains(L1);
        driving.unmarkWhenSettled();
        assertThat(marks.stored).containsExactly(L1);
        driving.seenStanding(L1);
        assertThat(driving.owing()).isEmpty();
        assertThat(told(DeskMessages.Stopped.class).get(1).standing()).isTrue();
        pass(2_001);
        driving.unmarkWhenSettled();
        assertThat(marks.stored).isEmpty();
    }

    @Test
    void aHeadThatMovesOnIsOwedItsStop() {
        push(1);
        push(0);
        head.lastStop().complete(Outcome.MOVING);
        assertThat(told(DeskMessages.Stopped.class))
                .containsExactly(new DeskMessages.Stopped(4, false, false, "released"));
        pass(2_001);
        assertThat(driving.owing()).contains(L1);
        driving.sign();
        push(1);
        assertThat(driving.owing()).as("a newer drive is what the person wants").isEmpty();
    }

    @Test
    void aStopThatWasOvertakenSaysNothing() {
        push(1);
        push(0);
        CompletableFuture<Outcome> stop = head.lastStop();
        push(1);
        stop.complete(Outcome.OVERTAKEN);
        assertThat(told(DeskMessages.Stopped.class)).isEmpty();
    }

    @Test
    void homeIsAMotionLikeAnyOther() {
        driving.home();
        assertThat(head.told).containsExactly("home");
        assertThat(marks.stored).containsExactly(L1);
        driving.close();
        assertThat(head.told).last().isEqualTo("stop");
        assertThat(letGo).containsExactly(L1);
    }

    @Test
    void homeIsOverWhenTheHeadStaysWhereItIs() {
        driving.home();
        seen(at(9, 9));
        seen(at(9, 9));
        assertThat(driving.isMoving()).as("it may not have begun").isTrue();
        pass(600);
        seen(at(5, 5));
        assertThat(driving.isMoving()).isTrue();
        seen(at(0, 0));
        seen(at(0, 0));
        assertThat(driving.isMoving()).isFalse();
    }

    /** Set outside, it may come back by itself, and waver a little; it may not go further out. */
    @ParameterizedTest
    @CsvSource({
        "45, '44 40 31 30 12', false",
        "45, '45.3 44 43.9 44.2 29', false",
        "45, '44 44.6', true",
        "45, '46', true",
        "45, '40 29 31', true",
        "29, '29 30 30.1', true",
        "-10, '-170 29', false"
    })
    void aRecallThatBeginsOutsideItsLimitsOnlyComesBack(int from, String way, boolean stops) {
        driving.gate(L1, limited(30));
        seen(new Pointing(new PanTilt(from, 0), from, 0, 60));
        driving.recall(9);
        double far = from;
        for (String pan : way.split(" ", -1)) {
            far = Double.parseDouble(pan);
            seen(new Pointing(new PanTilt((int) (10 * far), 0), far, 0, 60));
        }
        assertThat(head.told.contains("stop")).as(way + " to " + far).isEqualTo(stops);
    }

    /** The camera has 24 steps for it; whoever takes it slowly goes slowly everywhere. */
    @ParameterizedTest
    @CsvSource({"1, 24", "0.5, 12", "0.05, 1", "0.9, 22"})
    void aRecallGoesAsFastAsItsDriverLikes(double share, int step) {
        driving.feel("ceiling-ptz", new Feel(0.08, 3, 0, new Feel.Speeds(1, 1, 1, 1, share), 0));
        driving.recall(7);
        assertThat(head.told).containsExactly("recall 7 at " + step);
    }

    /** Like home: stored and asked for first, over when all of it rests, ended by any stop. */
    @Test
    void aRecallIsAMotionLikeAnyOther() {
        driving.gate(L1, gate(true, true));
        driving.recall(7);
        assertThat(head.told).isEmpty();
        driving.allowOnAir();
        driving.recall(100);
        assertThat(head.told).as("it keeps 0 to 99").isEmpty();
        driving.recall(7);
        assertThat(head.told).containsExactly("recall 7 at 24");
        assertThat(marks.stored).contains(L1);
        pass(600);
        seen(new Pointing(new PanTilt(5, 0), 0.3, 0, 60));
        seen(new Pointing(new PanTilt(5, 0), 0.3, 0, 50));
        assertThat(driving.isMoving()).as("it still zooms").isTrue();
        seen(new Pointing(new PanTilt(5, 0), 0.3, 0, 50));
        assertThat(driving.isMoving()).isFalse();
        driving.recall(8);
        driving.recall(6);
        assertThat(head.told).as("the newer wish").endsWith("recall 8 at 24", "recall 6 at 24");
        driving.stopFromElsewhere("STOP ALL");
        assertThat(head.told).last().isEqualTo("stop");
        assertThat(driving.isMoving()).isFalse();
        driving.gate(L1, limited(30));
        seen(at(29, 0));
        driving.recall(9);
        seen(at(31, 0));
        assertThat(head.told).as("beyond its soft limit").last().isEqualTo("stop");
    }

    /** A program waits for it: between limits nothing moves before. */
    @Test
    void whereItPointsIsKnownOnceItSaidSoSinceItWasTaken() {
        assertThat(driving.saidWhereItPoints()).isFalse();
        driving.gate(L1, limited(30));
        push(0.8);
        assertThat(head.told).isEmpty();
        push(0);
        seen(at(3, 0));
        assertThat(driving.saidWhereItPoints()).isTrue();
        push(0.8);
        assertThat(head.told).isNotEmpty();
        driving.letGo();
        driving.take(link(L1, head), open());
        assertThat(driving.saidWhereItPoints()).isFalse();
    }

    @Test
    void aStopAllEndsAHome() {
        driving.home();
        driving.stopFromElsewhere("STOP ALL");
        assertThat(head.told).containsExactly("home", "stop");
        assertThat(driving.isMoving()).isFalse();
    }

    @Test
    void theStickTakesOverFromHome() {
        driving.home();
        push(0);
        assertThat(head.told).as("a centred stick leaves it going").containsExactly("home");
        push(1);
        assertThat(head.told).containsExactly("home", "drive 24 0");
    }

    @Test
    void whatIsLetGoIsStoppedFirstAndDrivesNoMore() {
        push(1);
        driving.letGo();
        assertThat(head.told).containsExactly("drive 24 0", "stop");
        assertThat(letGo).containsExactly(L1);
        push(1);
        assertThat(head.told).hasSize(2);
        assertThat(driving.camera()).isEmpty();
    }

    @Test
    void aCameraTakenWithAHeldStickWaitsForTheCentre() {
        push(1);
        driving.letGo();
        push(1);
        FakeHead other = new FakeHead();
        driving.take(link(L2, other), open());
        push(1);
        assertThat(other.told).isEmpty();
        push(0);
        push(1);
        assertThat(other.told).containsExactly("drive 24 0");
    }

    @Test
    void aDeskThatWasClosedTakesNothing() {
        driving.close();
        assertThat(driving.take(link(L2, new FakeHead()), open())).isFalse();
    }

    /** Whatever holds the desk up, its camera is not lost by it. */
    @Test
    void aLeaseGoesOnWhileItsDeskIsHeldUp() throws Exception {
        synchronized (driving) {
            CompletableFuture.runAsync(
                            () -> {
                                assertThat(driving.camera()).contains(l1);
                                driving.leaseRenewed(l1, now + 100_000_000_000L);
                                driving.unmarkWhenSettled();
                            })
                    .get(10, TimeUnit.SECONDS);
        }
        pass(99_000);
        driving.sign();
        driving.watch();
        assertThat(driving.camera()).contains(l1);
    }

    @Test
    void theRenewalOfAnOlderTakingIsNone() {
        driving.take(link(L1, new FakeHead()), open());
        driving.leaseRenewed(l1, now + 100_000_000_000L);
        pass(60_001);
        driving.sign();
        driving.watch();
        assertThat(driving.camera()).isEmpty();
    }

    @Test
    void aLeaseThatIsNotRenewedEndsTheDriving() {
        driving.leaseRenewed(l1, now + 4_000_000_000L);
        for (int i = 0; i < 100; i++) {
            push(1);
            pass(40);
        }
        assertThat(driving.camera()).isPresent();
        pass(1);
        push(1);
        assertThat(head.told).containsExactly("drive 24 0", "stop");
        assertThat(told(DeskMessages.Released.class)).hasSize(1);
        assertThat(letGo).containsExactly(L1);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aPageWithoutASignOfLifeGivesItsCameraBack(boolean beats) {
        for (int i = 0; i < 4; i++) {
            pass(1_000);
            if (beats) {
                driving.sign();
            }
            driving.watch();
        }
        assertThat(driving.camera().isPresent()).isEqualTo(beats);
        assertThat(head.told).as("it never moved").isEmpty();
    }

    /** What a person wanted after that is lost with the desk: stopped, and left marked. */
    @ParameterizedTest
    @EnumSource(
            value = Outcome.class,
            names = {"MOVING", "STANDING"})
    void whatEndsAfterTheCameraWentIsNotShown(Outcome outcome) {
        push(1);
        push(0);
        CompletableFuture<Outcome> stop = head.lastStop();
        driving.letGo();
        screen.clear();
        stop.complete(outcome);
        assertThat(screen).isEmpty();
    }

    /** However things mix, a centred or silent stick ends in a head that was told to stop last. */
    @Test
    void whateverHappensTheLastWordIsAStop() {
        Random random = new Random(11);
        List<Consumer<Driving>> events =
                List.of(
                        d -> push(1),
                        d -> push(-0.4),
                        d -> push(0),
                        Driving::home,
                        d -> d.recall(3),
                        d -> d.stopFromElsewhere("STOP ALL"),
                        d -> pass(150),
                        d -> marks.asked.forEach(m -> m.complete(null)),
                        d -> marks.stored.clear(),
                        d -> seen(at(random.nextInt(2), 0)),
                        d -> d.go(SteadyMoves.Wish.panTilt(1, 30, 0, 10)),
                        d -> d.keepGoing(1),
                        d -> d.gate(L1, gate(random.nextInt(9) > 0, random.nextInt(9) == 0)),
                        d -> d.feel("ceiling-ptz", RAMPED));
        marks.atOnce = false;
        for (int i = 0; i < 20_000; i++) {
            driving.sign();
            driving.leaseRenewed(l1, now + 1_000_000_000L);
            events.get(random.nextInt(events.size())).accept(driving);
            if (i % 50 == 49) {
                driving.stopFromElsewhere("STOP ALL");
                marks.asked.forEach(m -> m.complete(null));
                assertThat(head.told).as("event %d", i).last().isEqualTo("stop");
                assertThat(driving.isMoving()).isFalse();
                push(0);
                marks.asked.clear();
                head.told.clear();
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"false, false, clear", "false, true, clear", "true, true, on-air"})
    void nothingMovesBeforeWhatMustBeSaidWasSaid(boolean clear, boolean onAir, String what) {
        driving.gate(L1, gate(clear, onAir));
        push(1);
        driving.home();
        assertThat(head.told).isEmpty();
        assertThat(told(DeskMessages.Needs.class)).first().extracting("what").isEqualTo(what);
        driving.gate(L1, gate(true, onAir));
        driving.allowOnAir();
        push(1);
        assertThat(head.told).as("held all the while: it must centre first").isEmpty();
        push(0);
        push(1);
        assertThat(head.told).containsExactly("drive 24 0");
    }

    /** On air once more is asked once more; what moves already goes on. */
    @Test
    void leaveToMoveOnAirEndsWithIt() {
        driving.gate(L1, gate(true, true));
        driving.allowOnAir();
        push(1);
        driving.gate(L1, gate(true, false));
        driving.gate(L1, gate(true, true));
        push(-1);
        assertThat(head.told).containsExactly("drive 24 0", "drive -24 0");
        push(0);
        push(1);
        assertThat(told(DeskMessages.Needs.class)).extracting("what").containsExactly("on-air");
    }

    /** The watch lets the ramp rise between the messages of the page; a release stops at once. */
    @Test
    void aRampRisesAndAReleaseDoesNotWaitForIt() {
        driving.letGo();
        driving.take(
                link(L1, head),
                terms(gate(true, false), new Feel(0.08, 0, 0.24, Feel.Speeds.FULL, 0)));
        head.told.clear();
        push(1);
        for (int i = 0; i < 6; i++) {
            pass(20);
            driving.watch();
        }
        assertThat(head.told)
                .containsExactly(
                        "drive 1 0",
                        "drive 2 0",
                        "drive 4 0",
                        "drive 6 0",
                        "drive 8 0",
                        "drive 10 0",
                        "drive 12 0");
        push(0);
        assertThat(head.told).last().isEqualTo("stop");
    }

    /** As a page keeps a steady move going for so long: the watch looks, the head follows. */
    private double kept(long number, double pan, int millis) {
        double is = pan;
        for (int t = 0; t < millis; t += 20) {
            driving.sign();
            if (t % 40 == 0) {
                driving.keepGoing(number);
            }
            driving.watch();
            is += driving.going().of(MotionAxis.PAN) * 0.02;
            if (t % 100 == 0) {
                seen(new Pointing(new PanTilt((int) (is * 14), 0), is, 0, 60));
            }
            pass(20);
        }
        return is;
    }

    @Test
    void aSteadyMoveArrivesInItsTimeAndStops() {
        driving.go(SteadyMoves.Wish.panTilt(7, 20, 0, 4));
        assertThat(told(DeskMessages.Trouble.class)).hasSize(1);
        assertThat(head.told).as("nobody knows yet where it points").isEmpty();
        seen(at(0, 0));
        driving.go(SteadyMoves.Wish.panTilt(7, 20, 0, 4));
        double is = kept(7, 0, 3_400);
        assertThat(head.told).doesNotContain("stop");
        assertThat(is).isBetween(15.0, 20.0);
        is = kept(7, is, 1_100);
        assertThat(head.told).last().isEqualTo("stop");
        assertThat(is).isBetween(19.8, 20.2);
        push(1);
        assertThat(head.told).last().isEqualTo("drive 24 0");
    }

    @ParameterizedTest
    @CsvSource({"200, 0, 10, beyond the limits", "20, 0, 0.01, at least", "0, 0, 10, points there"})
    void aSteadyMoveThatCannotBeIsRefusedInWords(
            double pan, double tilt, double seconds, String words) {
        seen(at(0, 0));
        driving.go(SteadyMoves.Wish.panTilt(1, pan, tilt, seconds));
        assertThat(head.told).isEmpty();
        assertThat(told(DeskMessages.Trouble.class).get(0).reason()).contains(words);
    }

    /** It lives by the beats of its own page and number; after a stop no beat brings it back. */
    @Test
    void aSteadyMoveEndsWithItsBeatAndWithAStop() {
        seen(at(0, 0));
        driving.go(SteadyMoves.Wish.panTilt(1, 30, 0, 10));
        kept(2, 0, 240);
        assertThat(head.told).last().isEqualTo("stop");
        driving.go(SteadyMoves.Wish.panTilt(3, 30, 0, 10));
        kept(3, 0, 300);
        driving.stopFromElsewhere("STOP ALL");
        head.told.clear();
        kept(3, 1, 500);
        assertThat(head.told).isEmpty();
        driving.go(SteadyMoves.Wish.panTilt(4, 30, 0, 10));
        assertThat(head.told).as("begun anew").isNotEmpty();
        push(-1);
        assertThat(head.told).as("the hand is on top").last().isEqualTo("drive -24 0");
    }

    /** Where it is cannot be reckoned for long. */
    @Test
    void aSteadyMoveWhoseHeadSaysNothingIsStopped() {
        seen(at(0, 0));
        driving.go(SteadyMoves.Wish.panTilt(1, 60, 0, 20));
        for (int t = 0; t <= 1_000; t += 20) {
            assertThat(head.told).as("after %d ms", t).doesNotContain("stop");
            driving.sign();
            driving.keepGoing(1);
            pass(20);
            driving.watch();
        }
        assertThat(head.told).last().isEqualTo("stop");
        head.told.clear();
        driving.go(SteadyMoves.Wish.panTilt(2, 60, 0, 20));
        assertThat(head.told).as("what it said then is old").isEmpty();
    }

    @Test
    void aSteadyMoveThatGoesOnAirBetweenTwoStepsIsStopped() {
        seen(at(0, 0));
        driving.go(SteadyMoves.Wish.panTilt(1, 30, 0, 10));
        pass(100);
        driving.keepGoing(1);
        driving.watch();
        seen(new Pointing(new PanTilt(22, 0), 30 * 0.5 / 9.6, 0, 60));
        driving.watch();
        assertThat(head.told).last().isEqualTo("drive 0 0");
        driving.gate(L1, gate(true, true));
        driving.watch();
        assertThat(head.told).last().isEqualTo("stop");
        assertThat(told(DeskMessages.Needs.class)).hasSize(1);
    }

    private static Gate limited(double right) {
        return limited(MotionAxis.PAN, right);
    }

    private static Gate limited(MotionAxis axis, double most) {
        Between between = new Between(Double.NEGATIVE_INFINITY, most);
        return new Gate(true, false, new SoftLimits(Map.of(axis, between)), Turned.NOT);
    }

    @Test
    void aHeadIsDrivenToItsSoftLimitAndNotBeyond() {
        driving.gate(L1, limited(30));
        push(1);
        assertThat(head.told).as("nobody knows yet where it points").isEmpty();
        push(0);
        seen(at(0, 0));
        push(1);
        assertThat(head.told).last().asString().startsWith("drive ").isNotEqualTo("drive 24 0");
        seen(at(30, 0));
        push(1);
        assertThat(head.told).last().isEqualTo("stop");
        push(0);
        head.told.clear();
        screen.clear();
        push(1);
        push(1);
        driving.go(SteadyMoves.Wish.panTilt(1, 31, 0, 10));
        assertThat(head.told).isEmpty();
        assertThat(told(DeskMessages.Trouble.class)).hasSize(1);
        push(0);
        driving.go(SteadyMoves.Wish.panTilt(1, 31, 0, 10));
        assertThat(told(DeskMessages.Trouble.class)).hasSize(2);
        push(-1);
        assertThat(head.told).as("the way back is free").containsExactly("drive -24 0");
        for (int i = 0; i < 60; i++) {
            pass(20);
            push(-1);
        }
        assertThat(head.told).as("it says no more where it points").last().isEqualTo("stop");
    }

    /** What it says is as old as the question: what it was told to go since then counts. */
    @Test
    void aLateReadingKeepsAHeadFromItsLimitAllTheSame() {
        driving.gate(L1, limited(30));
        seen(at(0, 0));
        push(1);
        int before = toldPan();
        Question asked = driving.asks().orElseThrow();
        for (int i = 0; i < 15; i++) {
            pass(20);
            push(1);
        }
        int unheard = toldPan();
        assertThat(unheard).as("slower, though nothing was heard").isBetween(1, before - 1);
        driving.seen(asked, at(0, 0));
        push(1);
        assertThat(toldPan()).as("it was there 0.3 s ago").isEqualTo(unheard);
        seen(at(0, 0));
        push(1);
        assertThat(toldPan()).as("it is there").isEqualTo(before);
    }

    private int toldPan() {
        String last = head.told.get(head.told.size() - 1);
        assertThat(last).startsWith("drive ");
        return Integer.parseInt(last.split(" ", -1)[1]);
    }

    @Test
    void whatTheCameraBeforeSaidIsNotWhereThisOnePoints() {
        Question asked = driving.asks().orElseThrow();
        driving.letGo();
        driving.take(link(L2, new FakeHead()), open());
        driving.seen(asked, at(7, 0));
        assertThat(driving.saidWhereItPoints()).isFalse();
        seen(at(7, 0));
        assertThat(driving.saidWhereItPoints()).isTrue();
    }

    /** Before it was given back it had gone far: that is not to be taken off its place. */
    @Test
    void aQuestionThatIsOutWhileAHeadIsTakenAgainCountsAsItShould() {
        for (int i = 0; i < 100; i++) {
            seen(at(0, 0));
            push(1);
            pass(20);
        }
        push(0);
        CameraLink same = driving.camera().orElseThrow();
        Question asked = driving.asks().orElseThrow();
        driving.letGo();
        Between between = new Between(-30, Double.POSITIVE_INFINITY);
        Gate gate =
                new Gate(true, false, new SoftLimits(Map.of(MotionAxis.PAN, between)), Turned.NOT);
        driving.take(same, terms(gate, Feel.plain(StickLaw.linear())));
        driving.seen(asked, at(0, 0));
        push(0);
        push(-1);
        assertThat(toldPan()).isNegative();
    }

    /** Turned while it is held it would jump the other way: it is stopped first. */
    @Test
    void aTurnedHeadGoesTheOtherWayAndNeverInTheMiddleOfAPush() {
        push(1);
        driving.gate(L1, new Gate(true, false, SoftLimits.NONE, new Turned(true, false)));
        assertThat(head.told).containsExactly("drive 24 0", "stop");
        push(1);
        assertThat(head.told).as("it must be let go first").hasSize(2);
        push(0);
        driving.sign();
        driving.stick(Push.of(1, 1), 1);
        assertThat(head.told).last().isEqualTo("drive -24 20");
    }

    /**
     * Nothing moves, so nothing is stopped: a stick that is pushed meanwhile would be let go by it.
     */
    @Test
    void aHeadBetweenLimitsThatWasTakenIsNotStoppedBecauseItSaidNothingYet() {
        now += 3_600_000_000_000L;
        driving.take(link(L1, head), terms(limited(30), Feel.plain(StickLaw.linear())));
        for (int i = 0; i < 200; i++) {
            driving.sign();
            driving.watch();
            pass(20);
        }
        assertThat(head.told).isEmpty();
        seen(at(0, 0));
        push(1);
        assertThat(head.told).hasSize(1);
        for (int i = 0; i < 60; i++) {
            pass(20);
            push(1);
        }
        assertThat(head.told).as("silent while it moves").last().isEqualTo("stop");
    }

    /** It goes by itself, and yet nobody could see that it leaves its limits. */
    @Test
    void aRecallBetweenLimitsOfAHeadThatFallsSilentIsStopped() {
        driving.gate(L1, limited(30));
        seen(at(0, 0));
        driving.recall(7);
        for (int t = 0; t < 1_000; t += 20) {
            pass(20);
            driving.sign();
            driving.watch();
        }
        assertThat(head.told).containsExactly("recall 7 at 24");
        pass(20);
        driving.watch();
        assertThat(head.told).containsExactly("recall 7 at 24", "stop");
    }

    @Test
    void aHomeBeyondASoftLimitIsRefused() {
        seen(at(-20, 0));
        driving.gate(L1, limited(-10));
        driving.home();
        assertThat(head.told).isEmpty();
        assertThat(told(DeskMessages.Trouble.class)).hasSize(1);
    }

    /** By the same ramp and the same stop contract as pan and tilt. */
    @Test
    void aHeadThatRollsIsStoppedWithTheRestWhenItsPageFallsSilent() {
        CameraLink rolls = link(L1, head, "cinema-head");
        assertThat(driving.take(rolls, open())).isTrue();
        rolls(0);
        rolls(-0.5);
        assertThat(head.told).containsExactly("ROLL -11");
        rolls(-1);
        driving.sign();
        driving.stick(new Push(0.5, 0, 0, 0, -1, 1), 1);
        assertThat(head.told).as("it stands on no rail").last().isEqualTo("drive 11 0");
        assertThat(head.told).containsExactly("ROLL -11", "ROLL -24", "drive 11 0");
        pass(Driving.SILENCE_MILLIS + 1);
        driving.watch();
        assertThat(head.told).last().isEqualTo("stop");
        rolls(-1);
        assertThat(head.told).as("it must be let go first").last().isEqualTo("stop");
    }

    /**
     * To marks of roll as well, by what the head says of it; a head on no rail cannot go along one.
     */
    @Test
    void aSteadyMoveRollsTooWhereTheHeadSaysSo() {
        driving.take(link(L1, head, "cinema-head"), open());
        SteadyMoves.Wish quarter =
                new SteadyMoves.Wish(
                        1,
                        Map.of(
                                MotionAxis.PAN, 0.0,
                                MotionAxis.TILT, 0.0,
                                MotionAxis.ROLL, 20.0),
                        4);
        seen(at(0, 0));
        driving.go(quarter);
        assertThat(told(DeskMessages.Trouble.class)).as("it has not told its roll").hasSize(1);
        double rolled = 0;
        seen(rolled(rolled));
        driving.go(
                new SteadyMoves.Wish(
                        2,
                        Map.of(MotionAxis.PAN, 0.0, MotionAxis.TILT, 0.0, MotionAxis.RAIL, 1.0),
                        4));
        assertThat(head.told).isEmpty();
        driving.go(quarter);
        for (int t = 0; t < 4_500; t += 20) {
            driving.sign();
            driving.keepGoing(1);
            driving.watch();
            rolled += driving.going().of(MotionAxis.ROLL) * 0.02;
            if (t % 100 == 0) {
                seen(rolled(rolled));
            }
            pass(20);
        }
        assertThat(rolled).isBetween(19.8, 20.2);
        assertThat(head.told).last().isEqualTo("stop");
        assertThat(head.told).noneMatch(f -> f.startsWith("drive"));
    }

    /** Driven, or gone there by itself. */
    @Test
    void aHeadRollsToItsSoftLimitAndNotBeyond() {
        driving.take(link(L1, head, "cinema-head"), open());
        driving.gate(L1, limited(MotionAxis.ROLL, 20));
        seen(at(0, 0));
        rolls(0);
        rolls(1);
        assertThat(head.told).as("it has not told its roll").isEmpty();
        assertThat(told(DeskMessages.Trouble.class))
                .singleElement()
                .extracting(DeskMessages.Trouble::reason)
                .isEqualTo(Words.say("desk.limit-unread"));
        rolls(0);
        seen(rolled(0));
        rolls(1);
        assertThat(head.told).last().asString().startsWith("ROLL ");
        seen(rolled(20));
        rolls(1);
        assertThat(head.told).last().isEqualTo("stop");
        rolls(0);
        rolls(-1);
        assertThat(head.told).as("the way back is free").last().isEqualTo("ROLL -24");
        rolls(0);
        driving.recall(3);
        assertThat(head.told).last().asString().startsWith("recall 3");
        seen(rolled(21));
        driving.watch();
        assertThat(head.told).last().isEqualTo("stop");
    }

    private static Pointing rolled(double degrees) {
        AxisReading axes = new AxisReading(Optional.of(degrees), Optional.empty());
        return new Pointing(new PanTilt(0, 0), 0, 0, 60, axes);
    }

    private void rolls(double push) {
        driving.sign();
        driving.stick(new Push(0, 0, 0, 0, push, 0), 1);
        driving.watch();
    }

    /** The focus lever springs back: its stop is in the stop of all. */
    @Test
    void aFocusThatIsPushedIsStoppedLikeTheRest() {
        driving.sign();
        driving.stick(new Push(0, 0, 0, -1, 0, 0), 1);
        assertThat(head.told).containsExactly("focus -8");
        pass(Driving.SILENCE_MILLIS + 1);
        driving.watch();
        assertThat(head.told).last().isEqualTo("stop");
    }
}
