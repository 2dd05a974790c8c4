package app.jerboa.server.desk;

import app.jerboa.server.platform.OwnConnection;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.platform.Threads;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ScheduledExecutorService;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Keeps the leases of what this server drives, each second, in one statement for all desks; what is
 * not renewed ends by itself. It has a thread and a connection of its own and waits for no desk and
 * no page: while a hundred of them are busy, or one is held up, nobody loses a camera for it.
 */
@Component
class LeaseKeeping {
    private static final Duration EVERY = Duration.ofSeconds(1);

    private final Desks desks;
    private final OwnConnection own;
    private final String server;
    private final ScheduledExecutorService thread;

    LeaseKeeping(Desks desks, OwnConnection own, Settings settings) {
        this.desks = desks;
        this.own = own;
        this.server = settings.serverName();
        this.thread = Threads.loop("desk-leases", EVERY, this::renew);
    }

    void renew() {
        List<DeskMapper.Lease> held =
                desks.all().stream()
                        .flatMap(d -> d.driving.camera().stream())
                        .map(DeskMapper.Lease::of)
                        .toList();
        if (held.isEmpty()) {
            return;
        }
        long ends = System.nanoTime() + CameraTaking.leaseNanos();
        List<DeskMapper.Renewed> renewed =
                own.with(
                        DeskMapper.class,
                        m ->
                                m.renew(
                                        server,
                                        held,
                                        CameraTaking.LEASE_SECONDS,
                                        TakeOver.PATIENCE_SECONDS));
        Map<String, DeskMapper.Renewed> byHolder =
                renewed.stream()
                        .collect(
                                Collectors.toMap(
                                        DeskMapper.Renewed::holder,
                                        Function.identity(),
                                        (one, same) -> one));
        desks.all().forEach(d -> d.driving.camera().ifPresent(c -> keep(d, c, byHolder, ends)));
        renewed.stream()
                .collect(
                        Collectors.toMap(
                                DeskMapper.Renewed::job, DeskMapper.Renewed::stops, Math::max))
                .forEach(desks::obey);
        desks.all().forEach(d -> d.driving.camera().ifPresent(c -> asked(d, c, byHolder)));
    }

    private static void keep(
            Desk desk, CameraLink camera, Map<String, DeskMapper.Renewed> renewed, long ends) {
        if (renewed.containsKey(camera.holder())) {
            desk.driving.leaseRenewed(camera, ends);
        }
    }

    private static void asked(
            Desk desk, CameraLink camera, Map<String, DeskMapper.Renewed> renewed) {
        DeskMapper.Renewed row = renewed.get(camera.holder());
        if (row != null && row.askedBy() != null) {
            TakeOver.asked(desk, camera, row.askedBy(), row.askedSeconds());
        }
    }

    @PreDestroy
    void close() {
        thread.shutdownNow();
    }
}
