package app.jerboa.server.world;

import java.util.List;

/**
 * The laptop's addresses, each with its prefix, as {@link app.jerboa.core.bringup.LaptopAddress}
 * writes them.
 *
 * @param also beside its own
 */
public record Laptop(String own, List<String> also) {
    public Laptop {
        also = List.copyOf(also);
    }
}
