package app.jerboa.server.desk;

import java.util.concurrent.CompletableFuture;

/**
 * What may be moving, stored before it moves: a server that was killed stops it first when it is
 * back.
 */
interface Marks {
    /** It is stored, as far as this server knows. */
    boolean isMarked(CameraId camera);

    /** Ends when it is stored; never waits. */
    CompletableFuture<Void> mark(CameraId camera);

    /** The head was seen standing; never waits. */
    void unmark(CameraId camera);

    /** It is no longer driven here and may still move: the mark is left to whoever stops it. */
    void leave(CameraId camera);
}
