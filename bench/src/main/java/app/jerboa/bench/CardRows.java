package app.jerboa.bench;

import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import app.jerboa.e2e.harness.SpoiledHalls;
import java.io.IOException;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;

/** Bring-ups by cards in halls where things are wrong: each must end right or with a true word. */
final class CardRows {
    private static final int SEEDS = Integer.getInteger("jerboa.seeds", 500);
    private static final int KILLED = 10;
    private static final double NANOS = 1e9;
    private static final int SIGN_INS = 20;
    private static final long BETWEEN_SIGN_INS_NANOS = 250_000_000;

    private CardRows() {}

    static void print(WireRows.Rows to) throws IOException {
        try (Programs programs = new Programs(true)) {
            HttpUser user = new HttpUser(programs::url).signIn("asha");
            SpoiledHalls halls = new SpoiledHalls(programs, user);
            long begun = System.nanoTime();
            for (int seed = 1; seed <= SEEDS; seed++) {
                halls.work(seed, () -> {});
            }
            to.row(
                    "spoiled halls brought up, " + SEEDS + " seeds, s each",
                    (System.nanoTime() - begun) / NANOS / SEEDS,
                    "cards.seed",
                    "no tick lost or invented, every last word true");
            halls.ends.forEach(
                    (how, count) -> to.row("  of these: " + how, count, "cards.end", ""));
            Random random = new Random(KILLED);
            int[] disturbed = new int[1];
            for (int i = 0; disturbed[0] < KILLED; i++) {
                boolean database = random.nextBoolean();
                halls.work(
                        SEEDS + 1L + i,
                        () -> {
                            disturbed[0]++;
                            if (database) {
                                programs.launcher("restart-testdb");
                            } else {
                                programs.killServer();
                                programs.startServer();
                            }
                            signInAgain(user);
                        });
            }
            to.row(
                    "the same with the server killed or the database restarted",
                    disturbed[0],
                    "cards.killed",
                    "all as above");
        }
    }

    /** The database is just starting, and says so. */
    private static void signInAgain(HttpUser user) {
        for (int i = 0; i < SIGN_INS; i++) {
            try {
                user.signIn("asha");
                return;
            } catch (IllegalStateException notYet) {
                LockSupport.parkNanos(BETWEEN_SIGN_INS_NANOS);
            }
        }
        user.signIn("asha");
    }
}
