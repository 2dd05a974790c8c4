package app.jerboa.standin.serial;

import java.lang.reflect.Proxy;
import java.util.Comparator;
import java.util.PriorityQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/** A clock and a timer that pass only when the test says so; what is due runs in order. */
final class VirtualTime {
    private record Task(long at, long order, Runnable run) {}

    private final PriorityQueue<Task> tasks =
            new PriorityQueue<>(Comparator.comparingLong(Task::at).thenComparing(Task::order));
    private long now;
    private long order;

    long nanos() {
        return now;
    }

    /** Only {@code execute} and {@code schedule} of a runnable. */
    ScheduledExecutorService timer() {
        return (ScheduledExecutorService)
                Proxy.newProxyInstance(
                        getClass().getClassLoader(),
                        new Class<?>[] {ScheduledExecutorService.class},
                        (proxy, method, args) -> {
                            long delay =
                                    args.length == 3
                                            ? ((TimeUnit) args[2]).toNanos((Long) args[1])
                                            : 0;
                            tasks.add(
                                    new Task(
                                            now + Math.max(0, delay), order++, (Runnable) args[0]));
                            return null;
                        });
    }

    void pass(long nanos) {
        long end = now + nanos;
        while (!tasks.isEmpty() && tasks.peek().at() <= end) {
            Task next = tasks.remove();
            now = next.at();
            next.run().run();
        }
        now = end;
    }
}
