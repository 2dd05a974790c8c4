package app.jerboa.server.world;

import java.util.List;

/**
 * From where a world is seen.
 *
 * @param reaches the address that reaches the job, with its prefix; empty where there is none
 * @param addresses all that the laptop has
 * @param cautions what stands in the way, a sentence each
 */
public record Standpoint(String reaches, List<OwnAddress> addresses, List<String> cautions) {
    public static final Standpoint UNKNOWN = new Standpoint("", List.of(), List.of());

    public Standpoint {
        addresses = List.copyOf(addresses);
        cautions = List.copyOf(cautions);
    }
}
