package app.jerboa.server.bringup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LeadTripsTest {
    /** A camera that was removed from the job meanwhile. */
    private static final long GONE = 99;

    private static final LaptopAddress HOME = new LaptopAddress(Ipv4.parse("10.44.8.81"), 24);

    private static List<Step> steps(String words) {
        return Stream.of(words.split(", "))
                .filter(w -> !w.isEmpty())
                .map(w -> w.split(" "))
                .map(
                        w ->
                                new Step(
                                        Step.Kind.fromWire(w[0]).orElseThrow(),
                                        Optional.of(new DeviceId(Long.parseLong(w[1]))),
                                        HOME))
                .toList();
    }

    private static String words(List<Step> steps) {
        return steps.stream()
                .map(s -> s.kind().wire() + " " + s.device().orElseThrow())
                .collect(Collectors.joining(", "));
    }

    /** What is done, what the plan without it still has, and what of that is left to do. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | lead-out 1, ask 1, lead-home 1, enter 9 | lead-out 1, ask 1, lead-home 1, enter 9",
                "lead-out 1 | lead-out 1, ask 1, ask 2, lead-home 1 | ask 1, ask 2, lead-home 1",
                "lead-out 1 | lead-out 1, lead-home 1, enter 9 | lead-home 1, enter 9",
                "lead-out 1 | enter 9 | lead-home 1, enter 9",
                "lead-out 1, lead-home 1 | lead-out 1, lead-home 1, enter 9 | enter 9",
                "lead-out 1, lead-home 1 | lead-out 1, ask 1, lead-home 1 | lead-out 1, ask 1, lead-home 1",
                "lead-out 1, lead-home 1 | lead-out 1, lead-home 1, ask 4, lead-out 5, ask 5, lead-home 5"
                        + "| ask 4, lead-out 5, ask 5, lead-home 5",
                "'' | ask 4 | ask 4",
                "lead-out 99 | enter 9 | enter 9",
            })
    void aLeadIsOnTheServerOnlyWhileSomethingIsAsked(String done, String plan, String left) {
        List<StepRow> rows = StepRow.of(steps(done), 1);
        assertThat(words(LeadTrips.of(rows, d -> d.value() != GONE).left(steps(plan), HOME)))
                .isEqualTo(left);
    }
}
