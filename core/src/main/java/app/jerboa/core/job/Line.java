package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.value.DeviceId;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/**
 * One camera's thread through the installation.
 *
 * @param number 1 for L1
 * @param controlId number it answers to, VISCA 1 to 7
 * @param key where it sits on a controller, if anywhere
 * @param also where it sits on a second controller that drives it too, if anywhere
 * @param paint where it sits on a paint panel, if anywhere
 * @param input where its picture goes, if anywhere
 * @param tally the tally it lights with; empty for that of its input
 * @param wants what must be controlled from afar; empty for what is usual for the camera
 */
public record Line(
        long id,
        int number,
        DeviceId camera,
        int controlId,
        Optional<Key> key,
        Optional<Key> also,
        Optional<Key> paint,
        Optional<Input> input,
        OptionalInt tally,
        Optional<Set<RemoteFunction>> wants)
        implements JobItem {
    /** Every key it sits on: the controller's, a second one's, the paint panel's. */
    public Stream<Key> keys() {
        return Stream.of(key, also, paint).flatMap(Optional::stream);
    }

    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.LINE, id);
    }

    /** A key of a controller. */
    public record Key(DeviceId controller, int number) {}

    /** An input of a switcher, counted from 1. */
    public record Input(DeviceId switcher, int number) {}
}
