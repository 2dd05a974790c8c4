package app.jerboa.wire.link.http;

import java.util.Optional;

/** The certificate that a device showed at first sight, as SHA-256 in hex. */
public interface Pins {
    /** What this device showed first; empty before it was seen. */
    Optional<String> pinned();

    /** It is seen for the first time. */
    void pin(String sha256);

    /**
     * It shows this one, kept or not; called before anything is told to it. Whoever hears it must
     * not wait for anything.
     */
    default void shown(String sha256) {}
}
