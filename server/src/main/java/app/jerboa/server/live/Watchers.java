package app.jerboa.server.live;

import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The open pages of this server, by job; each is told what happens to its job. */
@Component
class Watchers {
    private static final int BEAT_MILLIS = 10_000;

    /** One open page. */
    private static final class Watcher {
        final long job;
        final String tab;
        final SseEmitter stream;
        final Runnable onGone;

        Watcher(long job, String tab, SseEmitter stream, Runnable onGone) {
            this.job = job;
            this.tab = tab;
            this.stream = stream;
            this.onGone = onGone;
        }
    }

    private final Map<Long, Set<Watcher>> byJob = new ConcurrentHashMap<>();
    private final ExecutorService tellers =
            Executors.newFixedThreadPool(2, task -> new Thread(task, "tellers"));
    private final Presence presence;

    Watchers(Presence presence) {
        this.presence = presence;
    }

    /**
     * @param onGone run when the tab no longer listens, not when it has only opened a newer stream
     */
    SseEmitter open(long job, String tab, Runnable onGone) {
        SseEmitter stream = new SseEmitter(0L);
        Watcher watcher = new Watcher(job, tab, stream, onGone);
        byJob.computeIfAbsent(job, j -> ConcurrentHashMap.newKeySet()).add(watcher);
        stream.onCompletion(() -> forget(watcher));
        stream.onError(e -> forget(watcher));
        stream.onTimeout(stream::complete);
        send(watcher, SseEmitter.event().name("hello").data("{}"));
        return stream;
    }

    private void forget(Watcher watcher) {
        Set<Watcher> watchers = byJob.getOrDefault(watcher.job, Set.of());
        boolean removed = watchers.remove(watcher);
        if (removed && watchers.stream().noneMatch(w -> w.tab.equals(watcher.tab))) {
            watcher.onGone.run();
        }
    }

    @EventListener
    void told(Notice notice) {
        Set<Watcher> watchers = byJob.getOrDefault(notice.job(), Set.of());
        if (watchers.isEmpty() || notice.kind().equals(Notice.STOP_ALL)) {
            return;
        }
        Object data = notice.kind().equals(Notice.PRESENCE) ? presence.of(notice.job()) : notice;
        watchers.forEach(w -> tell(w, notice.kind(), data));
    }

    /** Notices may have been missed: every page looks anew. */
    @EventListener
    void reconnected(NoticeListener.Reconnected event) {
        byJob.forEach(
                (job, watchers) -> {
                    Notice look = new Notice(job, Notice.CHANGED, 0);
                    watchers.forEach(w -> tell(w, Notice.CHANGED, look));
                });
    }

    private void tell(Watcher watcher, String name, Object data) {
        if (!tellers.isShutdown()) {
            tellers.execute(() -> send(watcher, SseEmitter.event().name(name).data(data)));
        }
    }

    /** Without a sign of life a broken connection would look like a quiet one, on both sides. */
    @Scheduled(fixedRate = BEAT_MILLIS)
    void beat() {
        byJob.values().forEach(watchers -> watchers.forEach(w -> tell(w, "beat", Map.of())));
    }

    /**
     * A stream that broke is ended by the container itself; to end it here too would race with it.
     */
    private void send(Watcher watcher, SseEmitter.SseEventBuilder event) {
        try {
            watcher.stream.send(event);
        } catch (IOException | IllegalStateException e) {
            forget(watcher);
        }
    }

    /** At the very start of stopping: an open stream would hold the server's goodbye up. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        byJob.values().forEach(watchers -> watchers.forEach(w -> w.stream.complete()));
        tellers.shutdown();
    }
}
