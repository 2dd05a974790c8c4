package app.jerboa.server.knobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Observation;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.platform.Author;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.proof.Observations;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is noted of the certificates a device shows: each change once, and its end. */
class CertificatesTest {
    private static final long JOB = 1;
    private static final Job PLAN = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private static final DeviceId CAMERA = PLAN.lines().get(0).camera();
    private static final Device DEVICE = PLAN.device(CAMERA).orElseThrow();

    private final PinMapper pins = mock();
    private final Jobs jobs = mock();
    private final Observations observations = mock();
    private Certificates certificates = new Certificates(pins, jobs, observations);
    private final List<Observation> seen = new ArrayList<>();
    private final List<String> noted = new CopyOnWriteArrayList<>();
    private Optional<String> kept = Optional.of(sha("a"));
    private Instant at = Instant.EPOCH;

    private static String sha(String letter) {
        return letter.repeat(64);
    }

    private Jobs.Stored stored() {
        return new Jobs.Stored(JOB, 1, 100, PLAN, Observed.NONE.plus(seen), 10);
    }

    private void take(NewObservation o) {
        add(o.topic(), o.value(), o.evidence(), o);
        noted.add(o.outcome().orElseThrow().name().toLowerCase(Locale.ROOT) + o.value());
    }

    private void add(Topic topic, String value, Evidence evidence, NewObservation from) {
        seen.add(
                new Observation(
                        seen.size() + 1,
                        CAMERA,
                        topic,
                        value,
                        evidence,
                        from == null ? Optional.empty() : from.outcome(),
                        at,
                        new TreeMap<>()));
    }

    private void happens(String what) {
        switch (what) {
            case "accepted" -> certificates.accept(stored(), DEVICE, Author.WATCH);
            case "just" -> at = InstantSource.system().instant();
            case "later" -> {
                Observation last = seen.remove(seen.size() - 1);
                at = Instant.EPOCH;
                seen.add(
                        new Observation(
                                last.number(),
                                last.device(),
                                last.topic(),
                                last.value(),
                                last.evidence(),
                                last.outcome(),
                                at,
                                last.basis()));
            }
            case "swapped" -> add(Topic.HAPPENING, "swap", Evidence.SEEN, null);
            default -> {
                // As a connection does it: the first one is kept, then told of.
                kept = kept.or(() -> Optional.of(sha(what)));
                certificates.note(JOB, CAMERA, sha(what));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "a a, ''",
        "b, differs",
        "b b b, differs",
        "b c, differs differs",
        "b a a, differs ok",
        "b a b, differs ok differs",
        "b accepted b b, differs ok",
        "b accepted b a, differs ok differs",
        "b a swapped a a, differs ok ok",
        "b swapped b b, differs differs",
        "accepted c c, ok",
        "just b a b a c, differs",
        "just b a later a, differs ok",
        "just b accepted b, differs ok",
        "just a b, differs"
    })
    void eachChangeIsNotedOnce(String happenings, String expected) {
        said();
        for (String what : happenings.split(" ", -1)) {
            happens(what);
        }
        assertThat(String.join(" ", noted).replaceAll("differs[0-9a-f:]+", "differs"))
                .isEqualTo(expected);
        assertThat(noted)
                .filteredOn(n -> n.startsWith("differs"))
                .allMatch(n -> n.matches("differs([bac])\\1(:\\1\\1){7}"));
    }

    /** A connection that is kept shows its certificate once: what was too soon is noted later. */
    @Test
    void whatIsShownTooSoonIsNotedALittleLater() {
        said();
        certificates = new Certificates(pins, jobs, observations, Duration.ofSeconds(1));
        happens("just");
        happens("b");
        happens("a");
        await().atMost(Duration.ofSeconds(20)).until(() -> noted.size() == 2);
        assertThat(noted.get(1)).isEqualTo("ok");
        certificates.close();
    }

    /** What was shown before somebody accepted another one is not held against it. */
    @Test
    void whatWasShownBeforeSomebodyAcceptedIsForgotten() {
        said();
        certificates = new Certificates(pins, jobs, observations, Duration.ofSeconds(1));
        happens("just");
        happens("b");
        happens("a");
        happens("accepted");
        happens("b");
        await().during(Duration.ofSeconds(2))
                .atMost(Duration.ofSeconds(20))
                .until(() -> noted.get(noted.size() - 1).equals("ok"));
        certificates.close();
    }

    private void said() {
        when(pins.find(anyLong(), anyLong())).thenAnswer(call -> kept);
        when(pins.forget(anyLong(), anyLong()))
                .thenAnswer(
                        call -> {
                            int gone = kept.isPresent() ? 1 : 0;
                            kept = Optional.empty();
                            return gone;
                        });
        when(jobs.load(JOB)).thenAnswer(call -> stored());
        doAnswer(
                        call -> {
                            List<NewObservation> all = call.getArgument(1);
                            all.forEach(this::take);
                            return stored();
                        })
                .when(observations)
                .add(anyLong(), any(), anyString(), any());
    }
}
