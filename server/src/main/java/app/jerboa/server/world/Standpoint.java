package app.jerboa.server.world;

import app.jerboa.core.finding.Finding;
import java.util.List;

/**
 * From where a world is seen.
 *
 * @param reaches the address that reaches the job, with its prefix; empty where there is none
 * @param addresses all that the laptop has
 * @param cautions what stands in the way, a sentence each
 * @param findings of how this machine stands to the plan
 */
public record Standpoint(
        String reaches, List<OwnAddress> addresses, List<String> cautions, List<Finding> findings) {
    public static final Standpoint UNKNOWN = new Standpoint("", List.of(), List.of(), List.of());

    public Standpoint {
        addresses = List.copyOf(addresses);
        cautions = List.copyOf(cautions);
        findings = List.copyOf(findings);
    }
}
