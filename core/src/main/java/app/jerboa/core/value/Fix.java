package app.jerboa.core.value;

import java.util.List;

/**
 * A concrete change set that makes a finding go away.
 *
 * @param key names the wording, for example {@code re-plan-run}
 * @param changes what applying it changes, never empty
 */
public record Fix(String key, List<Change> changes) {
    public Fix {
        changes = List.copyOf(changes);
        if (changes.isEmpty()) {
            throw new IllegalArgumentException("a fix must change something, got none for " + key);
        }
    }
}
