package app.jerboa.server.desk;

import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.wire.link.session.Stopping;
import jakarta.annotation.PostConstruct;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What may be moving, stored before it moves: a server that was killed stops it first when it is
 * back. A head whose stop was never acknowledged stays marked and is stopped again until it is.
 */
@Component
class Moving {
    private static final Logger LOG = LoggerFactory.getLogger(Moving.class);

    private final DeskMapper mapper;
    private final CameraLinks links;
    private final Jobs jobs;
    private final TransactionTemplate transactions;
    private final String server;

    Moving(
            DeskMapper mapper,
            CameraLinks links,
            Jobs jobs,
            TransactionTemplate transactions,
            Settings settings) {
        this.mapper = mapper;
        this.links = links;
        this.jobs = jobs;
        this.transactions = transactions;
        this.server = settings.serverName();
    }

    void mark(CameraLink camera) {
        transactions.executeWithoutResult(
                t -> {
                    mapper.commitWithoutWaiting();
                    mapper.markMoving(camera.id());
                });
    }

    void unmark(CameraLink camera) {
        mapper.unmarkMoving(camera.id());
    }

    /**
     * What this server drove before it was killed is driven by nobody now. Before the first desk
     * can come back, or it would find its own lease in its way.
     */
    @PostConstruct
    void dropOldLeases() {
        mapper.dropLeasesOf(server);
    }

    /**
     * Stops what is marked and driven by nobody on any server: after a crash, or when a stop found
     * no answer.
     */
    @Scheduled(initialDelay = 0, fixedDelay = 2000)
    void stopTheAbandoned() {
        mapper.abandoned().forEach(this::stopAndUnmark);
    }

    void stopAllIn(long job) {
        mapper.movingIn(job).forEach(this::stopAndUnmark);
    }

    private void stopAndUnmark(CameraId id) {
        Optional<CameraLink> open = links.open(id);
        try {
            if (open.isPresent()) {
                stopAndUnmark(open.get());
            } else {
                CameraLink aside = links.aside(jobs.load(id.job()), id.device());
                try {
                    stopAndUnmark(aside);
                } finally {
                    aside.link().close();
                }
            }
        } catch (Problem | ExecutionException | TimeoutException e) {
            LOG.info("{} could not be stopped yet: {}", id, e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void stopAndUnmark(CameraLink camera)
            throws ExecutionException, TimeoutException, InterruptedException {
        if (Stopping.stop(camera.link()).get(5, TimeUnit.SECONDS) == Stopping.Outcome.STANDING) {
            unmark(camera);
        }
    }
}
