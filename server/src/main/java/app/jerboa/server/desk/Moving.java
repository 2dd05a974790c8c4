package app.jerboa.server.desk;

import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.wire.link.session.Stopping;
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

    Moving(DeskMapper mapper, CameraLinks links, Jobs jobs, TransactionTemplate transactions) {
        this.mapper = mapper;
        this.links = links;
        this.jobs = jobs;
        this.transactions = transactions;
    }

    void mark(CameraLink camera) {
        transactions.executeWithoutResult(
                t -> {
                    mapper.commitWithoutWaiting();
                    mapper.markMoving(camera.device(), camera.job());
                });
    }

    void unmark(CameraLink camera) {
        mapper.unmarkMoving(camera.device());
    }

    /** Stops what is marked and driven by nobody: after a crash, or when a stop found no answer. */
    @Scheduled(initialDelay = 0, fixedDelay = 2000)
    void stopTheAbandoned() {
        for (DeskMapper.MovingRow row : mapper.moving()) {
            if (mapper.leaseHolder(row.deviceId()).isEmpty()
                    || links.open(row.deviceId()).isEmpty()) {
                stopAndUnmark(row);
            }
        }
    }

    void stopAllIn(long job) {
        mapper.movingIn(job).forEach(this::stopAndUnmark);
    }

    private void stopAndUnmark(DeskMapper.MovingRow row) {
        try {
            boolean fresh = links.open(row.deviceId()).isEmpty();
            CameraLink camera =
                    fresh
                            ? links.connect(jobs.load(row.jobId()), row.deviceId())
                            : links.open(row.deviceId()).get();
            if (Stopping.stop(camera.link()).get(5, TimeUnit.SECONDS)
                    == Stopping.Outcome.STANDING) {
                unmark(camera);
            }
            if (fresh) {
                links.close(row.deviceId());
            }
        } catch (Problem | ExecutionException | TimeoutException e) {
            LOG.info("camera {} could not be stopped yet: {}", row.deviceId(), e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
