package app.jerboa.core.value;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A list made item by item, and what was gathered of all that was made.
 *
 * @param all rests on what was made alone, so that it stands while that is the very same list
 */
public record Gathered<I, O, R>(Made<I, O> made, R all) {
    /** As {@link Made#kept}; gathered anew only where an edit made something else. */
    @SuppressWarnings("ReferenceEquality") // A list that nothing changed is the same one.
    public static <I, O, R> Gathered<I, O, R> kept(
            List<I> items,
            Optional<Gathered<I, O, R>> before,
            Made.Making<I, O> making,
            Function<List<O>, R> gather) {
        Made<I, O> made = Made.kept(items, before.map(Gathered::made), making);
        return new Gathered<>(
                made,
                before.filter(b -> b.made.to() == made.to())
                        .map(Gathered::all)
                        .orElseGet(() -> gather.apply(made.to())));
    }
}
