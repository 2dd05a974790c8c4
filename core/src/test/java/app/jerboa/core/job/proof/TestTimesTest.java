package app.jerboa.core.job.proof;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.value.DeviceId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TestTimesTest {
    /** Tests of one device after the other, each so many seconds after the one before. */
    private static Observed done(Evidence evidence, Topic topic, String gaps) {
        List<Observation> all = new ArrayList<>();
        double at = 0;
        int device = 1;
        all.add(observation(device, evidence, topic, at));
        for (String gap : gaps.split(" ", -1)) {
            at += Double.parseDouble(gap);
            all.add(observation(++device, evidence, topic, at));
        }
        return Observed.NONE.plus(all);
    }

    private static Observation observation(int n, Evidence evidence, Topic topic, double at) {
        return new Observation(
                n,
                new DeviceId(n),
                topic,
                "",
                evidence,
                Optional.of(Outcome.OK),
                Instant.EPOCH.plusMillis(Math.round(at * 1000)),
                new TreeMap<>());
    }

    @ParameterizedTest
    @CsvSource({
        "ASKED, MOVES, 2 2 9 9 9, 9, 30, 5, 0",
        "ASKED, MOVES, 0.4 0.4 0.4 0.4 0.4, 1, 30, 5, 0",
        "SEEN, INPUT, 12 14 16 18 20 22, 5, 18, 0, 6",
        "SEEN, INPUT, 12 14 16 18, 5, 30, 0, 0",
        "SEEN, INPUT, 12 14 3600 16 18 20, 5, 16, 0, 5",
        "ASKED, MOVES, 0 0 0 0 0 0, 5, 30, 0, 0",
        "ASKED, MAC, 2 2 2 2 2 2, 5, 30, 0, 0",
        "TOLD, INPUT, 2 2 2 2 2 2, 5, 30, 0, 0",
    })
    void timesReallyTakenTakeThePlaceOfUsualOnes(
            Evidence evidence,
            Topic topic,
            String gaps,
            int asked,
            int seen,
            int askedFrom,
            int seenFrom) {
        assertThat(TestTimes.of(done(evidence, topic, gaps)))
                .isEqualTo(new TestTimes(asked, seen, askedFrom, seenFrom));
    }
}
