package app.jerboa.server.bringup;

import app.jerboa.core.bringup.BringUpMethod;
import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.value.DeviceId;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Rows of the bring-up tables. */
final class BringUpRows {
    private BringUpRows() {}

    /**
     * A bring-up that is under way.
     *
     * @param aside ids of devices put aside, with spaces between
     * @param worldStartedAt null for those of before
     */
    record BringUpRow(
            long id,
            String method,
            boolean workshop,
            String aside,
            String person,
            OffsetDateTime startedAt,
            OffsetDateTime worldStartedAt) {
        Set<DeviceId> asideIds() {
            return Arrays.stream(aside.split(" ", -1))
                    .filter(t -> !t.isEmpty())
                    .map(t -> new DeviceId(Long.parseLong(t)))
                    .collect(Collectors.toSet());
        }

        /** Written in capitals by versions of before. */
        BringUpMethod how() {
            return BringUpMethod.fromWire(method).orElse(BringUpMethod.HOP);
        }
    }

    /** Device 0 for none; times null while there are none. */
    record StepRow(
            int number,
            String kind,
            long deviceId,
            String laptop,
            OffsetDateTime doneAt,
            String evidence,
            String saw,
            OffsetDateTime bootOverAt,
            OffsetDateTime worldDoneAt,
            boolean differs) {
        static List<StepRow> of(List<Step> steps, int from) {
            return IntStream.range(0, steps.size())
                    .mapToObj(i -> of(steps.get(i), from + i))
                    .toList();
        }

        private static StepRow of(Step step, int number) {
            return new StepRow(
                    number,
                    step.kind().wire(),
                    step.device().map(DeviceId::value).orElse(0L),
                    step.laptop().toString(),
                    null,
                    "",
                    "",
                    null,
                    null,
                    false);
        }

        boolean done() {
            return doneAt != null;
        }

        Step toStep() {
            return new Step(
                    Step.Kind.fromWire(kind).orElseThrow(),
                    deviceId == 0 ? Optional.empty() : Optional.of(new DeviceId(deviceId)),
                    LaptopAddress.parse(laptop));
        }
    }

    /** What is written when a step is done; bootOverAt and taken may be null. */
    record Done(
            int number,
            String evidence,
            String saw,
            OffsetDateTime bootOverAt,
            OffsetDateTime worldDoneAt,
            Integer taken,
            boolean differs) {}

    /** What one step took. */
    record TakenRow(String kind, int seconds) {}
}
