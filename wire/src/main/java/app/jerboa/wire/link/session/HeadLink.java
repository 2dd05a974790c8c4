package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.CompletableFuture;

/**
 * A head that can be driven, over whatever link. Every call returns at once: what it began ends in
 * the future. An answer completes it on the thread that read it, which holds no lock of the link
 * and reads for every other: what hangs on a future must not wait for anything, or must be said to
 * run elsewhere (the {@code …Async} forms). How a {@link #stop} ended is told on a thread that may
 * be kept a while.
 */
public interface HeadLink extends AutoCloseable {
    /**
     * What the protocol of this link can say.
     *
     * @param panSteps speeds each way
     * @param zoomSteps speeds each way, of focus alike
     * @param home it can be sent home
     * @param tells it can be asked where it points
     * @param countsPerDegree of its positions; empty for those of the head's profile
     */
    record Abilities(
            int panSteps,
            int tiltSteps,
            int zoomSteps,
            boolean home,
            boolean tells,
            OptionalDouble countsPerDegree) {}

    Abilities can();

    /**
     * Pans and tilts, or stops doing so when both are zero; takes the place of what moved the head
     * before.
     *
     * @param pan steps, left below 0
     * @param tilt steps, down below 0
     */
    CompletableFuture<?> drive(int pan, int tilt);

    /**
     * @param speed steps, wide below 0; 0 stops
     */
    CompletableFuture<?> zoom(int speed);

    /**
     * A camera that focuses by itself may refuse it.
     *
     * @param speed steps, near below 0; 0 stops
     */
    CompletableFuture<?> focus(int speed);

    /**
     * What the head has beside pan and tilt; told before anything is driven, so that every stop of
     * this link stops that as well, whoever drove it. Does nothing in a protocol without.
     */
    default void has(Map<MoreAxis, AxisFrames> axes) {}

    /**
     * Fails for an axis that the head does not have.
     *
     * @param step signed; 0 stops
     */
    default CompletableFuture<?> axis(MoreAxis which, int step) {
        return CompletableFuture.failedFuture(new NoAnswer("it has no " + which.word()));
    }

    /**
     * Where an axis is, in counts; fails where it tells nothing back.
     *
     * @param polling as for {@link #askPanTilt}
     */
    default CompletableFuture<Integer> askAxis(MoreAxis which, boolean polling) {
        return CompletableFuture.failedFuture(new NoAnswer("it has no " + which.word()));
    }

    /** Fails where {@link Abilities#home} is false. */
    CompletableFuture<?> home();

    /**
     * Goes to a view that is stored in it; takes the place of what moved the head before.
     *
     * @param preset as the camera calls it, 0 to 254
     * @param speed step of its way, from 1; empty for as it stands. A protocol that has no such
     *     thing passes over it
     */
    CompletableFuture<?> recall(int preset, OptionalInt speed);

    /**
     * Keeps how it looks now. Fails with {@link NoAnswer} in words when the camera refuses.
     *
     * @param preset as the camera calls it, 0 to 254
     */
    CompletableFuture<?> store(int preset);

    /**
     * Brings the head to rest, whatever moves it; the stop frames are out when this returns. Ends
     * when the head was seen standing, a newer motion came, or the link was closed; a dead link
     * ends in nothing, the stop goes on.
     */
    CompletableFuture<Stopping.Outcome> stop();

    /**
     * @param polling read-back rather than a person's question: marked so in the log
     */
    CompletableFuture<PanTilt> askPanTilt(boolean polling);

    CompletableFuture<ZoomPosition> askZoom(boolean polling);

    CompletableFuture<Version> askVersion();

    /**
     * Sends a whole frame that a person typed, to this head whatever number stands in it.
     *
     * @return what it answered, in words
     */
    CompletableFuture<String> say(Octets frame);

    /**
     * Sends a whole frame of a profile to this head, whatever number stands in it.
     *
     * @param polling a page reads again by itself: marked so in the log
     * @return that payload, empty for what is only obeyed; fails with {@link NoAnswer} in words
     *     when the head refuses or is silent
     */
    CompletableFuture<Octets> tell(ProfileFrame what, boolean polling);

    /**
     * A camera joined or left the chain that this one hangs on, so that its number may be another
     * now. A protocol that has no such message never tells.
     *
     * @param told on the thread that reads the line: it must not wait
     */
    default void onChainChanged(Runnable told) {}

    Health health();

    @Override
    void close();
}
