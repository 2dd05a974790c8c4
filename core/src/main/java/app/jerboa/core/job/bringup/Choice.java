package app.jerboa.core.job.bringup;

import app.jerboa.core.bringup.BringUpMethod;
import app.jerboa.core.bringup.BringUpPlan;
import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.NewDevice;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.job.Habits;
import app.jerboa.core.value.DeviceId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Every method side by side, and the one that is recommended.
 *
 * @param plans one for each method, in their order
 * @param recommended one of them
 * @param reason why that one
 * @param bench the workshop is recommended
 * @param high new devices that will hang out of reach
 */
public record Choice(
        List<BringUpPlan> plans,
        BringUpPlan recommended,
        Reason reason,
        boolean bench,
        List<DeviceId> high) {
    /** Why a method is recommended. */
    public enum Reason {
        LEAST_TIME,
        /** A hop would cut off those who use the server on this laptop. */
        LAPTOP_SERVES
    }

    /**
     * The least time wins; of equals the first. The workshop is recommended when something will
     * hang out of reach and there is time before the van leaves.
     *
     * @throws IllegalArgumentException as {@link BringUpPlan#of}
     */
    public static Choice of(
            Hall hall,
            List<NewDevice> devices,
            boolean bench,
            LaptopAddress home,
            StepTimes times) {
        List<BringUpPlan> plans =
                Arrays.stream(BringUpMethod.values())
                        .map(m -> BringUpPlan.of(m, bench, devices, home, times))
                        .toList();
        Habits.BringUp habits = hall.job().site().habits().bringUp();
        List<DeviceId> high = StepActions.outOfReach(hall, devices.stream().map(NewDevice::id));
        BringUpPlan least =
                plans.stream().min(Comparator.comparingInt(BringUpPlan::seconds)).orElseThrow();
        boolean serves = habits.laptopServes() && hops(least);
        BringUpPlan recommended =
                serves
                        ? plans.stream()
                                .filter(p -> p.method() == BringUpMethod.ALIAS)
                                .findFirst()
                                .orElseThrow()
                        : least;
        boolean time =
                habits.workshopMinutes().isPresent()
                        && habits.workshopMinutes().getAsInt() * 60 >= recommended.seconds();
        return new Choice(
                plans,
                recommended,
                serves ? Reason.LAPTOP_SERVES : Reason.LEAST_TIME,
                !high.isEmpty() && time,
                high);
    }

    private static boolean hops(BringUpPlan plan) {
        return plan.sheet().count(Step.Kind.HOP_OUT) > 0;
    }
}
