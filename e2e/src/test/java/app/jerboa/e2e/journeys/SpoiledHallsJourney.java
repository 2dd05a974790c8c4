package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import app.jerboa.e2e.harness.SpoiledHalls;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/**
 * Whatever is wrong on site, a bring-up ends right or says truly why not; the bench does many more.
 */
class SpoiledHallsJourney {
    private static final int SEEDS = 50;

    /** Most of the time a technician waits for something. */
    private static final int AT_ONCE = 5;

    @Test
    void everyBringUpEndsRightOrWithATrueWord() {
        Programs programs = Jerboa.shared();
        SpoiledHalls halls = new SpoiledHalls(programs, new HttpUser(programs::url).signIn("asha"));
        ExecutorService technicians = Executors.newFixedThreadPool(AT_ONCE);
        try {
            List<CompletableFuture<Void>> all =
                    LongStream.rangeClosed(1, SEEDS)
                            .mapToObj(
                                    seed ->
                                            CompletableFuture.runAsync(
                                                    () -> halls.work(seed, () -> {}), technicians))
                            .toList();
            all.forEach(CompletableFuture::join);
        } finally {
            technicians.shutdownNow();
            programs.speed(1);
        }
        assertThat(halls.ends.values().stream().mapToInt(n -> n).sum()).isEqualTo(SEEDS);
        assertThat(halls.ends).containsKey("all verified");
    }
}
