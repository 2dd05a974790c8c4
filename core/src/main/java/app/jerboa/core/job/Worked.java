package app.jerboa.core.job;

import app.jerboa.core.item.Parts;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What is worked out from one job: each thing once, when first asked for, for all who ask, also
 * from several threads. It is not part of the job's value: two jobs of the same items are equal
 * whatever was worked out from them.
 */
final class Worked {
    /** One thing, by itself: whoever asks for another does not wait for it. */
    private static final class Slot {
        private final Parts reads;
        private volatile Object value;

        Slot(Parts reads) {
            this.reads = reads;
        }

        /** What is still being worked out does not: nobody is to wait for it here. */
        boolean outlives(Parts touched) {
            return value != null && !reads.meets(touched);
        }

        synchronized Object get(Supplier<?> work) {
            if (value == null) {
                value = work.get();
            }
            return value;
        }
    }

    private final Map<Object, Slot> slots = new HashMap<>();

    /** What the job before had under names that do not outlive the change. */
    private final Map<Object, Object> before = new HashMap<>();

    /** What throws is not kept, and is tried again. */
    <T> T get(Class<T> what, Supplier<T> work) {
        return what.cast(slot(what, Parts.all()).get(work));
    }

    /**
     * As above, for what is worked out from these parts of the job only and holds no job.
     *
     * @param work gets what the job before had, if it is known: what is the same need not be made
     *     anew
     */
    <T> T get(Object name, Parts reads, Class<T> what, Function<Optional<T>, T> work) {
        return what.cast(
                slot(name, reads).get(() -> work.apply(Optional.ofNullable(before(name, what)))));
    }

    private synchronized <T> T before(Object name, Class<T> what) {
        return what.cast(before.remove(name));
    }

    /** The names of what was worked out for this job or taken over from the one before. */
    synchronized Set<Object> names() {
        return Set.copyOf(slots.keySet());
    }

    private synchronized Slot slot(Object name, Parts reads) {
        return slots.computeIfAbsent(name, w -> new Slot(reads));
    }

    /** What others have taken over stays theirs. */
    synchronized void forget() {
        slots.clear();
        before.clear();
    }

    /** For a job that differs from this one's in these parts only. */
    synchronized Worked after(Parts touched) {
        Worked next = new Worked();
        slots.forEach(
                (name, slot) -> {
                    if (slot.outlives(touched)) {
                        next.slots.put(name, slot);
                    } else if (slot.value != null && !slot.reads.equals(Parts.all())) {
                        next.before.put(name, slot.value);
                    }
                });
        return next;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Worked;
    }

    @Override
    public int hashCode() {
        return 0;
    }

    @Override
    public String toString() {
        return "";
    }
}
