package app.jerboa.standin.device;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;

/** Threads of all stand-ins of this process: few, however many devices. */
public final class Timers {
    public static final ScheduledExecutorService SHARED =
            Executors.newScheduledThreadPool(
                    2,
                    task -> {
                        Thread thread = new Thread(task, "stand-in");
                        thread.setDaemon(true);
                        return thread;
                    });

    private Timers() {}
}
