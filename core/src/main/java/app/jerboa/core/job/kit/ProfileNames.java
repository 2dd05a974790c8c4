package app.jerboa.core.job.kit;

import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.profile.Profile;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Profiles by what people write in a list: the id, the name, or words that fit one alone. */
public final class ProfileNames {
    private final ProfileShelf shelf;
    private final List<Profile> all;
    private final Map<String, List<Profile>> known = new HashMap<>();

    /**
     * @param all every profile that may be meant
     */
    public ProfileNames(ProfileShelf shelf, List<Profile> all) {
        this.shelf = shelf;
        this.all = List.copyOf(all);
    }

    ProfileShelf shelf() {
        return shelf;
    }

    /** One when it is clear, several when it is not, none when nothing fits. */
    public List<Profile> find(String wanted) {
        return known.computeIfAbsent(wanted.strip().toLowerCase(Locale.ROOT), this::search);
    }

    private List<Profile> search(String wanted) {
        List<Profile> exact =
                all.stream()
                        .filter(
                                p ->
                                        p.id().equals(wanted)
                                                || p.name().toLowerCase(Locale.ROOT).equals(wanted))
                        .toList();
        if (!exact.isEmpty()) {
            return exact.subList(0, 1);
        }
        List<String> words = List.of(wanted.split("[\\s,;]+", -1));
        return all.stream()
                .filter(p -> words.stream().allMatch(w -> haystack(p).contains(w)))
                .toList();
    }

    private static String haystack(Profile p) {
        return (p.name() + " " + p.id() + " " + p.sort()).toLowerCase(Locale.ROOT);
    }
}
