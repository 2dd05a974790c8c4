package app.jerboa.server.desk;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;

/** Stores when the test says so. */
final class FakeMarks implements Marks {
    final Set<CameraId> stored = new HashSet<>();
    final List<CompletableFuture<Void>> asked = new ArrayList<>();
    boolean atOnce = true;

    @Override
    public boolean isMarked(CameraId camera) {
        return stored.contains(camera);
    }

    @Override
    public CompletableFuture<Void> mark(CameraId camera) {
        CompletableFuture<Void> mark = new CompletableFuture<>();
        asked.add(mark);
        CompletableFuture<Void> then = mark.thenRun(() -> stored.add(camera));
        if (atOnce) {
            mark.complete(null);
        }
        return then;
    }

    @Override
    public void unmark(CameraId camera) {
        stored.remove(camera);
    }

    @Override
    public void leave(CameraId camera) {
        stored.remove(camera);
    }
}
