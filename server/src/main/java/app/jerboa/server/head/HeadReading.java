package app.jerboa.server.head;

import app.jerboa.server.desk.MachineDesk;
import app.jerboa.wire.link.session.Answers;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.visca.PanTilt;
import java.util.concurrent.CompletableFuture;
import java.util.function.IntPredicate;

/** Asks a head where it points: waiting while it stands, and without waiting while it is driven. */
public final class HeadReading {
    private static final int PATIENCE_SECONDS = 2;

    /** What of a head is read. */
    public enum Axis {
        PAN,
        TILT,
        ZOOM
    }

    private final MachineDesk desk;
    private final HeadLink link;

    public HeadReading(MachineDesk desk) {
        this.desk = desk;
        this.link = desk.link();
    }

    private CompletableFuture<Integer> asked(Axis axis) {
        return switch (axis) {
            case PAN -> link.askPanTilt(true).thenApply(PanTilt::pan);
            case TILT -> link.askPanTilt(true).thenApply(PanTilt::tilt);
            case ZOOM -> link.askZoom(true).thenApply(z -> z.counts());
        };
    }

    /**
     * Counts as they are now.
     *
     * @throws NoAnswer when it does not answer within two seconds
     */
    public int now(Axis axis) {
        desk.sign();
        return Answers.await(asked(axis), PATIENCE_SECONDS);
    }

    public PanTilt head() {
        desk.sign();
        return Answers.await(link.askPanTilt(true), PATIENCE_SECONDS);
    }

    /**
     * Follows an axis while the stick is held: each look takes the newest answer and asks again.
     */
    public final class Following {
        private final Axis axis;
        private CompletableFuture<Integer> asked;

        public Following(Axis axis) {
            this.axis = axis;
            this.asked = asked(axis);
        }

        /** False while no answer is new; never waits. */
        public boolean is(IntPredicate wanted) {
            if (!asked.isDone()) {
                return false;
            }
            CompletableFuture<Integer> answered = asked;
            asked = asked(axis);
            return !answered.isCompletedExceptionally() && wanted.test(answered.join());
        }
    }
}
