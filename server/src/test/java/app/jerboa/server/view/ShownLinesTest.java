package app.jerboa.server.view;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.server.jobfile.RandomChanges;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Rows of lines that are taken over say the same as rows that are made from the start. */
class ShownLinesTest {
    @ParameterizedTest
    @ValueSource(longs = {4, 5})
    void rowsThatAreTakenOverAreRight(long seed) {
        List<ShownLines> shown = new ArrayList<>();
        new RandomChanges(seed)
                .walk(
                        150,
                        job -> {
                            Optional<ShownLines> before =
                                    shown.isEmpty()
                                            ? Optional.empty()
                                            : Optional.of(shown.get(shown.size() - 1));
                            shown.add(ShownLines.of(proof(job), before));
                            assertThat(shown.get(shown.size() - 1).bodies())
                                    .as("seed " + seed + ", step " + shown.size())
                                    .isEqualTo(
                                            ShownLines.of(
                                                            proof(RandomChanges.anew(job)),
                                                            Optional.empty())
                                                    .bodies());
                        });
        assertThat(shown.stream().flatMap(s -> s.bodies().stream()).distinct().count())
                .as("rows that were different")
                .isGreaterThan(20);
    }

    private static Proof proof(Job job) {
        return Proof.of(job, Observed.NONE);
    }
}
