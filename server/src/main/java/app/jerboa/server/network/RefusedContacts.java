package app.jerboa.server.network;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Threads;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Writes into the logbook what the allow rule kept from being sent: each address once an hour,
 * since pages and watchers ask again and again. Written beside the work that was refused, which is
 * taken back.
 */
@Component
class RefusedContacts {
    private static final Logger LOG = LoggerFactory.getLogger(RefusedContacts.class);
    private static final int MOST_KNOWN = 2_000;
    private static final int MOST_WAITING = 100;

    private record Refused(long job, String what) {}

    private final Cache<Refused, Boolean> said =
            Caffeine.newBuilder()
                    .maximumSize(MOST_KNOWN)
                    .expireAfterWrite(Duration.ofHours(1))
                    .build();

    private final ExecutorService writing = Threads.few("refused-contacts", 1, MOST_WAITING);
    private final Logbook log;

    RefusedContacts(Logbook log) {
        this.log = log;
    }

    /** One address that was asked for. */
    void contact(Jobs.Stored stored, Ipv4 address, String sentence) {
        note(stored, address.toString(), address, sentence);
    }

    /** One of the many addresses of a look: the first of them stands for all. */
    void look(Jobs.Stored stored, Ipv4 address, String sentence) {
        note(stored, "look", address, sentence);
    }

    private void note(Jobs.Stored stored, String what, Ipv4 address, String sentence) {
        if (said.asMap().putIfAbsent(new Refused(stored.id(), what), true) != null) {
            return;
        }
        List<Long> planned =
                stored.job().devices().stream()
                        .filter(d -> d.address().filter(address::equals).isPresent())
                        .map(Device::id)
                        .map(id -> id.value())
                        .toList();
        try {
            writing.execute(() -> write(stored.id(), sentence, planned));
        } catch (RejectedExecutionException full) {
            LOG.info("job {}: not in its logbook: {}", stored.id(), sentence);
        }
    }

    private void write(long job, String sentence, List<Long> devices) {
        Threads.guarded(
                "a line of the logbook", () -> log.event(job, sentence, devices, Author.WATCH));
    }

    @PreDestroy
    void close() {
        writing.shutdown();
    }
}
