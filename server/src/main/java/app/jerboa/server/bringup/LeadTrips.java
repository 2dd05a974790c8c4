package app.jerboa.server.bringup;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Leads go to the serial server and home as often as something is asked over them: what is put
 * aside must not leave one there, and what comes back needs it once more.
 */
final class LeadTrips {
    static final Set<Step.Kind> KINDS = EnumSet.of(Step.Kind.LEAD_OUT, Step.Kind.LEAD_HOME);

    /** By the camera that a lead is called by. */
    private final Set<DeviceId> out;

    private LeadTrips(Set<DeviceId> out) {
        this.out = out;
    }

    /**
     * @param done steps in their order; one that turned out otherwise moved no lead
     * @param inJob the camera is still in the job: a step of one that is gone could never be done
     */
    static LeadTrips of(List<StepRow> done, Predicate<DeviceId> inJob) {
        Set<DeviceId> out = new LinkedHashSet<>();
        for (StepRow row : done) {
            Step step = row.toStep();
            Optional<DeviceId> lead = step.device().filter(inJob);
            boolean moved = !row.differs();
            if (moved && step.kind() == Step.Kind.LEAD_OUT) {
                lead.ifPresent(out::add);
            } else if (moved && step.kind() == Step.Kind.LEAD_HOME) {
                lead.ifPresent(out::remove);
            }
        }
        return new LeadTrips(out);
    }

    /**
     * Of the steps that are still to do those that are needed: no trip for a lead over which
     * nothing is left to ask, and none out for one that is there.
     */
    List<Step> left(List<Step> plan, LaptopAddress home) {
        List<Step> left = new ArrayList<>();
        Set<DeviceId> stranded = new LinkedHashSet<>(out);
        boolean asked = false;
        for (int i = 0; i < plan.size(); i++) {
            Step step = plan.get(i);
            DeviceId lead = step.device().orElse(null);
            if (step.kind() == Step.Kind.LEAD_OUT) {
                asked = plan.get(i + 1).kind() != Step.Kind.LEAD_HOME;
                if (asked && !out.contains(lead)) {
                    left.add(step);
                }
            } else if (step.kind() != Step.Kind.LEAD_HOME || asked || out.contains(lead)) {
                left.add(step);
            }
            if (step.kind() == Step.Kind.LEAD_HOME) {
                stranded.remove(lead);
            }
        }
        stranded.forEach(d -> left.add(0, new Step(Step.Kind.LEAD_HOME, Optional.of(d), home)));
        return left;
    }
}
