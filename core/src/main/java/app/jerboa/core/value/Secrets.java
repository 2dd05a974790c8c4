package app.jerboa.core.value;

import java.util.List;

/** Words of secrets. */
public final class Secrets {
    public static final String PASSWORD = "password";
    public static final String STREAM_KEY = "stream-key";
    public static final String TUNNEL_KEY = "tunnel-key";
    public static final String WIRELESS = "wireless-passphrase";

    public static final List<String> USES = List.of(PASSWORD, STREAM_KEY, TUNNEL_KEY, WIRELESS);

    public static final String GENERATED = "generated";

    /** Typed in, and the same as the one it left the factory with. */
    public static final String FACTORY = "factory";

    public static final List<String> ORIGINS = List.of(GENERATED, "typed", FACTORY);

    private Secrets() {}
}
