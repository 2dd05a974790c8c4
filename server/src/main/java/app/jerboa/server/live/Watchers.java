package app.jerboa.server.live;

import app.jerboa.server.platform.OpenLine;
import app.jerboa.server.platform.OpenLines;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import java.io.IOException;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The open pages of this server, by job; each is told what happens to its job. Of each kind of news
 * only the newest waits for a page, so that a slow one costs nothing, and one that takes nothing
 * for long is given up.
 */
@Component
class Watchers {
    private static final int BEAT_MILLIS = 10_000;
    private static final int MOST_OF_ONE_PERSON = 24;
    private static final int MOST_AT_ONCE = 64;
    private static final int MOST_LOOKS_WAITING = 1_000;
    private static final long SLOWEST_NANOS = TimeUnit.SECONDS.toNanos(20);

    /** Something to be told; a newer one of the same name about the same part replaces it. */
    private record News(String name, Object data) {
        String sort() {
            return name + (data instanceof Notice n ? " " + n.part() : "");
        }
    }

    /** Who opens a stream, and in what. */
    record Opening(long job, String tab, long account, String httpSession) {}

    private final Map<Long, Set<Watcher>> byJob = new ConcurrentHashMap<>();
    private final ExecutorService tellers = Threads.many("tellers", MOST_AT_ONCE);
    private final ExecutorService looks = Threads.few("presence", 1, MOST_LOOKS_WAITING);
    private final LatelyTold lately = new LatelyTold(System::nanoTime);
    private final Presence presence;
    private final OpenLines lines;

    Watchers(Presence presence, OpenLines lines) {
        this.presence = presence;
        this.lines = lines;
    }

    /** One open page. */
    private final class Watcher implements OpenLine {
        private final Opening opening;
        private final SseEmitter stream = new SseEmitter(0L);
        private final Runnable onGone;
        private final Map<String, News> waiting = new LinkedHashMap<>();
        private long sendingSince;

        Watcher(Opening opening, Runnable onGone) {
            this.opening = opening;
            this.onGone = onGone;
        }

        void tell(String name, Object data) {
            News news = new News(name, data);
            synchronized (this) {
                waiting.remove(news.sort());
                waiting.put(news.sort(), news);
                if (sendingSince != 0) {
                    return;
                }
                sendingSince = System.nanoTime();
            }
            sendOn();
        }

        private void sendOn() {
            try {
                tellers.execute(this::sendAll);
            } catch (RejectedExecutionException full) {
                // It is tried again with the next news or beat.
                sendingIsOver();
            }
        }

        private synchronized void sendingIsOver() {
            sendingSince = 0;
        }

        private void sendAll() {
            for (News next = next(); next != null; next = next()) {
                try {
                    stream.send(SseEmitter.event().name(next.name()).data(next.data()));
                } catch (IOException | IllegalStateException e) {
                    // A stream that broke is ended by the container itself; to end it here too
                    // would race with it.
                    forget(this);
                    return;
                }
            }
        }

        private synchronized News next() {
            Iterator<News> first = waiting.values().iterator();
            sendingSince = first.hasNext() ? System.nanoTime() : 0;
            if (!first.hasNext()) {
                return null;
            }
            News next = first.next();
            first.remove();
            return next;
        }

        synchronized boolean tooSlow() {
            return sendingSince != 0 && System.nanoTime() - sendingSince > SLOWEST_NANOS;
        }

        @Override
        public String httpSession() {
            return opening.httpSession();
        }

        @Override
        public long account() {
            return opening.account();
        }

        @Override
        public long job() {
            return opening.job();
        }

        @Override
        public void mayDrive(boolean may) {
            // Everybody who belongs to the job may look on.
        }

        @Override
        public void end(String why) {
            forget(this);
            stream.complete();
        }
    }

    /**
     * @param onGone run when the tab no longer listens, not when it has only opened a newer stream
     */
    SseEmitter open(Opening opening, Runnable onGone) {
        insistOnRoom(opening.account());
        Watcher watcher = new Watcher(opening, onGone);
        byJob.computeIfAbsent(opening.job(), j -> ConcurrentHashMap.newKeySet()).add(watcher);
        lines.add(watcher);
        watcher.stream.onCompletion(() -> forget(watcher));
        watcher.stream.onError(e -> forget(watcher));
        watcher.stream.onTimeout(watcher.stream::complete);
        // From here on it is told itself.
        watcher.tell("hello", lately.of(opening.job()));
        return watcher.stream;
    }

    private void insistOnRoom(long account) {
        long his =
                byJob.values().stream()
                        .flatMap(Set::stream)
                        .filter(w -> w.account() == account)
                        .count();
        if (his >= MOST_OF_ONE_PERSON) {
            throw new Problem(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-streams",
                    Words.say("refused.places", Map.of("most", MOST_OF_ONE_PERSON)));
        }
    }

    private void forget(Watcher watcher) {
        lines.remove(watcher);
        Set<Watcher> watchers = byJob.getOrDefault(watcher.job(), Set.of());
        boolean removed = watchers.remove(watcher);
        if (removed
                && watchers.stream()
                        .noneMatch(w -> w.opening.tab().equals(watcher.opening.tab()))) {
            look(watcher.onGone);
        }
    }

    @EventListener
    void told(Notice notice) {
        if (notice.kind().equals(Notice.CHANGED)) {
            lately.keep(notice);
        }
        Set<Watcher> watchers = byJob.getOrDefault(notice.job(), Set.of());
        if (watchers.isEmpty() || notice.kind().equals(Notice.STOP_ALL)) {
            return;
        }
        if (notice.kind().equals(Notice.PRESENCE)) {
            look(
                    () -> {
                        Object here = presence.of(notice.job());
                        watchers.forEach(w -> w.tell(notice.kind(), here));
                    });
        } else {
            watchers.forEach(w -> w.tell(notice.kind(), notice));
        }
    }

    /** What asks the database holds up nobody who hands on news. */
    private void look(Runnable task) {
        try {
            looks.execute(() -> Threads.guarded("who is here", task));
        } catch (RejectedExecutionException behind) {
            // The next look, or the clock that forgets silent tabs, makes up for it.
            return;
        }
    }

    /** Notices may have been missed: every page looks anew. */
    @EventListener
    void reconnected(NoticeListener.Reconnected event) {
        lately.listens();
        byJob.forEach(
                (job, watchers) -> {
                    Notice look = new Notice(job, Notice.CHANGED, 0, "");
                    watchers.forEach(w -> w.tell(Notice.CHANGED, look));
                });
    }

    /** Without a sign of life a broken connection would look like a quiet one, on both sides. */
    @Scheduled(fixedRate = BEAT_MILLIS)
    void beat() {
        lately.forget();
        for (Set<Watcher> watchers : byJob.values()) {
            for (Watcher w : watchers) {
                if (w.tooSlow()) {
                    w.end("it takes nothing any more");
                } else {
                    w.tell("beat", Map.of());
                }
            }
        }
    }

    /** At the very start of stopping: an open stream would hold the server's goodbye up. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        byJob.values().forEach(watchers -> watchers.forEach(w -> w.stream.complete()));
        tellers.shutdown();
        looks.shutdown();
    }
}
