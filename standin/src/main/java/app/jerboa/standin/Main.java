package app.jerboa.standin;

import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.control.RigServer;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.web.WebPort;
import java.io.IOException;
import java.net.BindException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * {@code rig --port N --state FILE --speed S} runs the halls; {@code --job FILE} the hall of one
 * job, as {@link JobHall} says; anything else runs devices alone, as {@link AloneDevices} says:
 * {@code --device ceiling-ptz --bind 127.0.0.1 --visca-ip 52381}.
 */
public final class Main {
    private static final int RIG_PORT = 8471;

    private Main() {}

    public static void main(String[] args) throws InterruptedException {
        try {
            if (args.length > 0 && args[0].equals("rig")) {
                rig(new Options(args, 1, names("port", "state", "speed")));
            } else if (Arrays.asList(args).contains("--job")) {
                new JobHall(new Options(args, 0, JobHall.OPTIONS))
                        .open()
                        .forEach(System.out::println);
            } else {
                for (Options one : Options.groups(args, "device", AloneDevices.OPTIONS)) {
                    new AloneDevices(one).open().forEach(System.out::println);
                }
            }
        } catch (BindException e) {
            fail(
                    "A port it needs is in use by another program: end that one, or name other ports. "
                            + e.getMessage());
        } catch (IllegalArgumentException | IOException e) {
            fail(e.getMessage());
        }
        new CountDownLatch(1).await();
    }

    private static Set<String> names(String... names) {
        return new LinkedHashSet<>(Arrays.asList(names));
    }

    private static void fail(String sentence) {
        System.err.println("The stand-in did not start. " + sentence);
        System.exit(2);
    }

    static WorldClock clock(Options options, Instant world) {
        Instant now = InstantSource.system().instant();
        return new WorldClock(now, world, options.number("speed", 1));
    }

    private static void rig(Options options) throws IOException {
        Path state = Path.of(options.text("state").orElse("rig.json"));
        WebPort.prepare(state);
        RigFile file = new RigFile(state);
        Instant world = file.worldNow().orElse(InstantSource.system().instant());
        Rig rig = new Rig(InstantSource.system(), clock(options, world));
        file.restore(rig);
        RigServer server = new RigServer(rig, options.port("port", RIG_PORT), saving(file, rig));
        saveAtTheEnd(file, rig);
        System.out.println("Stand-in rig on 127.0.0.1:" + server.port());
    }

    /**
     * Once a second at most, and at the end: a world of many halls is large, and much happens in it
     * at once.
     */
    static Runnable saving(RigFile file, Rig rig) {
        AtomicBoolean owed = new AtomicBoolean();
        return () -> {
            if (owed.compareAndSet(false, true)) {
                Timers.SHARED.schedule(
                        () -> {
                            owed.set(false);
                            save(file, rig);
                        },
                        1,
                        TimeUnit.SECONDS);
            }
        };
    }

    static void saveAtTheEnd(RigFile file, Rig rig) {
        Runtime.getRuntime().addShutdownHook(new Thread(() -> save(file, rig)));
    }

    private static void save(RigFile file, Rig rig) {
        try {
            file.save(rig);
        } catch (IOException e) {
            System.err.println("The rig's state could not be written: " + e.getMessage());
        }
    }
}
