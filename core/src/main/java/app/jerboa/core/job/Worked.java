package app.jerboa.core.job;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * What is worked out from one job: each thing once, when first asked for, for all who ask, also
 * from several threads. It is not part of the job's value: two jobs of the same items are equal
 * whatever was worked out from them.
 */
final class Worked {
    /** One thing, by itself: whoever asks for another does not wait for it. */
    private static final class Slot {
        private Object value;

        synchronized Object get(Supplier<?> work) {
            if (value == null) {
                value = work.get();
            }
            return value;
        }
    }

    private final Map<Class<?>, Slot> slots = new HashMap<>();

    /** What throws is not kept, and is tried again. */
    <T> T get(Class<T> what, Supplier<T> work) {
        return what.cast(slot(what).get(work));
    }

    private synchronized Slot slot(Class<?> what) {
        return slots.computeIfAbsent(what, w -> new Slot());
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
