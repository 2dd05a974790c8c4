package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import app.jerboa.e2e.harness.SpoiledHalls;
import org.junit.jupiter.api.Test;

/**
 * Whatever is wrong on site, a bring-up ends right or says truly why not; the bench does many more.
 */
class SpoiledHallsJourney {
    private static final int SEEDS = 8;

    @Test
    void everyBringUpEndsRightOrWithATrueWord() {
        Programs programs = Jerboa.shared();
        SpoiledHalls halls = new SpoiledHalls(programs, new HttpUser(programs::url).signIn("asha"));
        for (int seed = 1; seed <= SEEDS; seed++) {
            halls.work(seed, () -> {});
        }
        programs.speed(1);
        assertThat(halls.ends.values().stream().mapToInt(n -> n).sum()).isEqualTo(SEEDS);
        assertThat(halls.ends).containsKey("all verified");
    }
}
