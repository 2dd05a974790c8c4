package app.jerboa.core.finding;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Item;
import java.util.List;

/**
 * A concrete change set that makes a finding go away.
 *
 * @param key names the wording, for example {@code re-plan-run}
 * @param changes what applying it changes, never empty
 */
public record Fix(String key, ChangeSet changes) {
    public Fix {
        if (changes.isEmpty()) {
            throw new IllegalArgumentException("a fix must change something, got none for " + key);
        }
    }

    /** Takes items away. */
    public static Fix removing(String key, Item... items) {
        return new Fix(key, ChangeSet.removing(items));
    }

    public static Fix editing(String key, List<Edit> edits) {
        return new Fix(key, ChangeSet.edits(edits));
    }
}
