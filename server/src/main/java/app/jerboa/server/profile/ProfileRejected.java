package app.jerboa.server.profile;

import java.util.List;

/** A text that is no profile, with every place that is wrong. */
public final class ProfileRejected extends RuntimeException {
    private final transient List<Wrong> wrong;

    /**
     * @param at JSON pointer; empty for the whole
     */
    public record Wrong(String at, String reason) {}

    ProfileRejected(List<Wrong> wrong) {
        super(wrong.get(0).at() + " " + wrong.get(0).reason());
        this.wrong = List.copyOf(wrong);
    }

    public List<Wrong> wrong() {
        return wrong;
    }
}
