package app.jerboa.core.job;

import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** A shelf of a few profiles; "id|name" is read as the facts of a USB camera. */
public record TestShelf(Map<String, Profile> byId) implements ProfileShelf {
    public static TestShelf of(Profile... profiles) {
        return new TestShelf(
                Arrays.stream(profiles)
                        .collect(Collectors.toMap(Profile::id, Function.identity())));
    }

    @Override
    public Optional<Profile> find(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    @Override
    public boolean shipped(String id) {
        return byId.containsKey(id);
    }

    @Override
    public Profile read(String facts) {
        int bar = facts.indexOf('|');
        if (bar < 0) {
            throw new TextRejected(facts, 0, Reason.of("text.profile"));
        }
        return Profile.bare(facts.substring(0, bar), facts.substring(bar + 1), Sort.USB_CAMERA);
    }
}
