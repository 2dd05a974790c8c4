package app.jerboa.standin.lan;

import app.jerboa.core.job.Run;
import java.time.Instant;
import java.util.Optional;

/**
 * One run of the job as it truly lies.
 *
 * @param plugged at both its ends
 * @param since it was plugged or pulled last
 * @param fault that nobody sees from outside
 * @param from another socket than the planned one
 * @param to another socket than the planned one
 */
public record Lead(
        boolean plugged,
        Instant since,
        Optional<RunFault> fault,
        Optional<Run.End> from,
        Optional<Run.End> to) {
    static Lead loose(Instant now) {
        return new Lead(false, now, Optional.empty(), Optional.empty(), Optional.empty());
    }

    Lead plugged(boolean on, Instant now) {
        return on == plugged ? this : new Lead(on, now, fault, from, to);
    }

    Lead with(Optional<RunFault> next) {
        return new Lead(plugged, since, next, from, to);
    }

    Lead moved(Optional<Run.End> nextFrom, Optional<Run.End> nextTo, Instant now) {
        return new Lead(plugged, now, fault, nextFrom, nextTo);
    }

    /** The run as it truly goes. */
    Run of(Run planned) {
        return new Run(
                planned.id(),
                from.orElse(planned.from()),
                to.orElse(planned.to()),
                planned.cable(),
                planned.gauge(),
                planned.clad(),
                planned.conductors(),
                planned.metres(),
                planned.poe(),
                planned.label(),
                planned.laid(),
                planned.subscribed());
    }
}
