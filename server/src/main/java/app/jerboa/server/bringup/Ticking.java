package app.jerboa.server.bringup;

import app.jerboa.core.bringup.Step;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.world.Worlds;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Ticks the steps of a bring-up that the network shows to be done. */
@Component
class Ticking {
    /** Of one look, so that a plan that ticks itself over and over ends. */
    private static final int MOST_TICKS = 20;

    private final BringUpMapper mapper;
    private final Jobs jobs;
    private final Watching watching;
    private final DoneSteps doneSteps;
    private final Worlds worlds;
    private final TransactionTemplate transactions;

    Ticking(
            BringUpMapper mapper,
            Jobs jobs,
            Watching watching,
            DoneSteps doneSteps,
            Worlds worlds,
            TransactionTemplate transactions) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.watching = watching;
        this.doneSteps = doneSteps;
        this.worlds = worlds;
        this.transactions = transactions;
    }

    /**
     * Ticks what the network shows by itself: the current step, as often as the next one shows too,
     * and every device that answers at its planned address already.
     */
    void watch(long job) {
        Look look = look(job);
        for (int i = 0; i < MOST_TICKS && look.current().filter(look::sees).isPresent(); i++) {
            look = look(job);
        }
        Optional<StepRow> asked = look.current();
        new Resuming(look.rows)
                .unverified().stream()
                        .filter(row -> asked.filter(row::equals).isEmpty())
                        .forEach(look::sees);
    }

    private Look look(long job) {
        return new Look(
                jobs.load(job), mapper.open(job).map(r -> mapper.steps(r.id())).orElse(List.of()));
    }

    /** The job and the steps of its bring-up, read once for all that is looked for. */
    private final class Look {
        private final Jobs.Stored stored;
        private final List<StepRow> rows;

        Look(Jobs.Stored stored, List<StepRow> rows) {
            this.stored = stored;
            this.rows = rows;
        }

        Optional<StepRow> current() {
            return rows.stream().filter(s -> !s.done()).findFirst();
        }

        /** Whether the step was seen to be done, and is ticked now. */
        boolean sees(StepRow row) {
            Step step = row.toStep();
            if (step.device().isPresent() && stored.job().device(step.device().get()).isEmpty()) {
                return false;
            }
            Instant now = worlds.of(stored.id()).time().now();
            Optional<StepCheck.Result> seen = watching.see(stored, step, over(rows, row, now));
            seen.ifPresent(
                    result ->
                            transactions.executeWithoutResult(
                                    t -> tick(jobs.lock(stored.id()), row, result, now)));
            return seen.isPresent();
        }
    }

    private static boolean over(List<StepRow> rows, StepRow row, Instant now) {
        return rows.stream()
                .filter(r -> r.deviceId() == row.deviceId() && r.bootOverAt() != null)
                .noneMatch(r -> r.bootOverAt().toInstant().isAfter(now));
    }

    /** Somebody may have done it, or planned anew, while the network was asked. */
    private void tick(Jobs.Stored stored, StepRow row, StepCheck.Result result, Instant now) {
        boolean still =
                mapper.open(stored.id()).stream()
                        .flatMap(r -> mapper.steps(r.id()).stream())
                        .anyMatch(
                                s ->
                                        !s.done()
                                                && s.number() == row.number()
                                                && s.kind().equals(row.kind())
                                                && s.deviceId() == row.deviceId());
        if (still) {
            doneSteps.finish(stored, row, result, now, Author.WATCH);
        }
    }
}
