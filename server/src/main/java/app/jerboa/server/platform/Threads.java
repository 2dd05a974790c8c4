package app.jerboa.server.platform;

import java.time.Duration;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Named threads with bounded queues; a full one refuses with {@code RejectedExecutionException}.
 */
public final class Threads {
    private static final Logger LOG = LoggerFactory.getLogger(Threads.class);

    private Threads() {}

    private static ThreadFactory named(String name) {
        return task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    /** So many threads, and so many tasks that wait for one. */
    public static ExecutorService few(String name, int threads, int waiting) {
        ThreadPoolExecutor pool =
                new ThreadPoolExecutor(
                        threads,
                        threads,
                        30,
                        TimeUnit.SECONDS,
                        new LinkedBlockingQueue<>(waiting),
                        named(name));
        pool.allowCoreThreadTimeOut(true);
        return pool;
    }

    /** A thread for every task at once, up to so many. */
    public static ExecutorService many(String name, int most) {
        return new ThreadPoolExecutor(
                0, most, 30, TimeUnit.SECONDS, new SynchronousQueue<>(), named(name));
    }

    /** Runs again and again on a thread of its own; a failure is logged and ends nothing. */
    public static ScheduledExecutorService loop(String name, Duration every, Runnable task) {
        ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(named(name));
        thread.scheduleWithFixedDelay(
                () -> guarded(name, task), 0, every.toMillis(), TimeUnit.MILLISECONDS);
        return thread;
    }

    /** For what is to happen once, later. */
    public static ScheduledExecutorService timer(String name) {
        return Executors.newSingleThreadScheduledExecutor(named(name));
    }

    /** One round of something that must never end by a failure. */
    public static void guarded(String what, Runnable task) {
        try {
            task.run();
        } catch (RuntimeException | Error e) {
            LOG.warn("{} failed and goes on: {}", what, reason(e));
        }
    }

    /**
     * Why something failed, in one line: what its innermost cause says, without the query it was
     * in.
     */
    public static String reason(Throwable failure) {
        Throwable cause = failure;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        String message = cause.getMessage();
        return message == null
                ? cause.getClass().getSimpleName()
                : message.lines().findFirst().orElse("").strip();
    }
}
