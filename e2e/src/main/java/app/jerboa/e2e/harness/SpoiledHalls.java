package app.jerboa.e2e.harness;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ConcurrentSkipListMap;

/**
 * Bring-ups of four cameras in halls that are spoiled by a seed, each worked to its end; several
 * may be worked at once.
 */
public final class SpoiledHalls {
    private static final List<String> METHODS =
            List.of("hop", "hop-each", "second-address", "lease", "search", "switch-port");
    private static final int MOST_FAULTS = 4;
    private static final int LATE = 20;

    /** Early enough that most are still under way. */
    private static final int MIDDLE = 6;

    private static final int FAST = 1000;

    private final Programs programs;
    private final JobMaker user;

    /** How many ended how: right, or with what statement. */
    public final ConcurrentSkipListMap<String, Integer> ends = new ConcurrentSkipListMap<>();

    public SpoiledHalls(Programs programs, JobMaker user) {
        this.programs = programs;
        this.user = user;
    }

    /**
     * @param seed of what is wrong and when
     * @param disturb run once in the middle, if it comes so far
     * @throws IllegalStateException for a tick lost or invented, or a statement that is not so
     */
    public void work(long seed, Runnable disturb) {
        programs.speed(FAST);
        Random random = new Random(seed);
        long job = user.fourCameras();
        user.send("GET", "/api/jobs/" + job + "/rig", "");
        HallTruth truth = new HallTruth(programs, job);
        truth.spoil(seed, random.nextInt(MOST_FAULTS));
        int late = 1 + random.nextInt(LATE);
        int middle = 1 + random.nextInt(MIDDLE);
        CardTechnician.End end =
                new CardTechnician(user, truth, new HallHands(programs, job), job)
                        .work(
                                METHODS.get(random.nextInt(METHODS.size())),
                                step -> {
                                    if (step == late) {
                                        truth.spoil(seed + FAST, 1);
                                    }
                                    if (step == middle) {
                                        disturb.run();
                                    }
                                });
        Optional<Boolean> holds = end.finished() ? Optional.of(true) : truth.holds(end.said());
        if (!holds.orElse(false)) {
            throw new IllegalStateException(
                    "seed "
                            + seed
                            + " ended with \""
                            + end.said()
                            + "\" in a hall with "
                            + truth.faults());
        }
        ends.merge(end.finished() ? "all verified" : kind(end.said()), 1, Integer::sum);
        programs.rig("DELETE", "/halls/" + job, "");
    }

    private static String kind(String said) {
        return said.replaceAll("\\d+\\.\\d+\\.\\d+\\.\\d+(/\\d+)?", "ADDRESS")
                .replaceAll("\\bL[1-4]\\b", "L")
                .replaceAll("([0-9a-f]{2}:){5}[0-9a-f]{2}", "MAC");
    }
}
