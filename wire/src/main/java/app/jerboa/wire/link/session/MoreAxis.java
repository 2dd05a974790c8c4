package app.jerboa.wire.link.session;

import java.util.Locale;

/** Axes that some heads have beside pan and tilt. */
public enum MoreAxis {
    ROLL,
    RAIL;

    /** In the wire log. */
    String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
