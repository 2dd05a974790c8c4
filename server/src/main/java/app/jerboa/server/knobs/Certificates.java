package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Observation;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Standing;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.http.Pins;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * The certificates that devices show. Another than at first sight is noted in the job as seen, so
 * that everybody reads it among the findings, and so is its end; once each, however often it is
 * asked.
 */
@Component
class Certificates {
    private static final int WAITING = 128;

    /** Of the 32 octets of SHA-256: enough to tell two apart by eye. */
    private static final int SHOWN_DIGITS = 16;

    /** Two that answer in turns at one address would fill the logbook. */
    private static final Duration SAID_ONCE_IN = Duration.ofMinutes(1);

    private record Of(long job, DeviceId device) {}

    private final PinMapper mapper;
    private final Jobs jobs;
    private final Observations observations;
    private final InstantSource clock = InstantSource.system();

    /** A connection waits for none of this: the database may hang. */
    private final ExecutorService noting = Threads.few("certificates", 1, WAITING);

    private final ScheduledExecutorService timer = Threads.timer("certificates, later");
    private final Duration saidOnceIn;

    /** What was shown last, of those that are looked at once more a little later. */
    private final Map<Of, String> later = new ConcurrentHashMap<>();

    @Autowired
    Certificates(PinMapper mapper, Jobs jobs, Observations observations) {
        this(mapper, jobs, observations, SAID_ONCE_IN);
    }

    Certificates(PinMapper mapper, Jobs jobs, Observations observations, Duration saidOnceIn) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.observations = observations;
        this.saidOnceIn = saidOnceIn;
    }

    @PreDestroy
    void close() {
        noting.shutdownNow();
        timer.shutdownNow();
    }

    /** What is kept of a device. */
    Pins of(Jobs.Stored stored, Device device) {
        return new StoredPins(mapper, this, stored.id(), device.id());
    }

    /**
     * @param sha256 in hex
     */
    void shown(long job, DeviceId device, String sha256) {
        try {
            noting.execute(() -> Threads.guarded("certificates", () -> note(job, device, sha256)));
        } catch (RejectedExecutionException full) {
            // The next connection shows it again.
            return;
        }
    }

    void note(long job, DeviceId id, String sha256) {
        Jobs.Stored stored = jobs.load(job);
        Device device = stored.need(id.value());
        Optional<String> kept = mapper.find(job, id.value());
        if (kept.isEmpty()) {
            // It is being kept just now, or somebody accepts another one.
            return;
        }
        boolean own = kept.get().equals(sha256);
        Standing standing = stored.proof().standing(id, Topic.CERTIFICATE);
        if (standing.wrong() && justSaid(standing)) {
            later(new Of(job, id), sha256);
            return;
        }
        if (own) {
            if (standing.wrong() || standing.state() == Standing.State.STALE) {
                add(job, device, "", Outcome.OK, "certificate.own");
            }
        } else if (!standing.wrong() || !said(standing).equals(Optional.of(digits(sha256)))) {
            add(job, device, digits(sha256), Outcome.DIFFERS, "certificate.other");
        }
    }

    /** A connection that is kept shows it only once. */
    private void later(Of of, String sha256) {
        if (later.put(of, sha256) == null) {
            timer.schedule(() -> again(of), saidOnceIn.toMillis(), TimeUnit.MILLISECONDS);
        }
    }

    private void again(Of of) {
        Optional.ofNullable(later.remove(of)).ifPresent(s -> shown(of.job(), of.device(), s));
    }

    private static Optional<String> said(Standing standing) {
        return standing.by().map(Observation::value);
    }

    /** That it is wrong stands for a while, whatever is shown next. */
    private boolean justSaid(Standing standing) {
        Instant before = clock.instant().minus(saidOnceIn);
        return standing.by().filter(o -> o.at().isAfter(before)).isPresent();
    }

    private void add(long job, Device device, String value, Outcome outcome, String key) {
        String words = Words.say(key, Map.of("device", device.name(), "certificate", value));
        observations.add(
                job,
                List.of(
                        NewObservation.of(
                                device.id(),
                                Topic.CERTIFICATE,
                                value,
                                Evidence.ASKED,
                                outcome,
                                words)),
                words,
                Author.WATCH);
    }

    /**
     * Somebody knows why: what the device shows next is its own.
     *
     * @return in words; empty where none was kept
     */
    Optional<String> accept(Jobs.Stored stored, Device device, Author by) {
        if (mapper.forget(stored.id(), device.id().value()) == 0) {
            return Optional.empty();
        }
        // What was shown before says nothing any more.
        later.remove(new Of(stored.id(), device.id()));
        String words = Words.say("told.certificate-forgotten", Map.of("device", device.name()));
        observations.add(
                stored.id(),
                List.of(
                        NewObservation.of(
                                device.id(),
                                Topic.CERTIFICATE,
                                "",
                                Evidence.SEEN,
                                Outcome.OK,
                                words)),
                words,
                by);
        return Optional.of(words);
    }

    /** Its first octets, as they are read out. */
    private static String digits(String sha256) {
        return sha256.substring(0, SHOWN_DIGITS).replaceAll("(..)(?=.)", "$1:");
    }
}
