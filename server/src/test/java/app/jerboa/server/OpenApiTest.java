package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * The committed contract is the one the server keeps; {@code JERBOA_WRITE_OPENAPI=1} writes it
 * anew.
 */
class OpenApiTest extends RunningServer {
    private static final Path COMMITTED = Path.of("openapi.json");

    @Test
    void theCommittedContractIsCurrent() throws IOException {
        JsonMapper json =
                JsonMapper.builder()
                        .enable(
                                SerializationFeature.INDENT_OUTPUT,
                                SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                        .build();
        Object contract =
                json.treeToValue(new Client().signIn().get("/api/openapi").json(), Object.class);
        String current = json.writeValueAsString(contract) + "\n";
        if (System.getenv("JERBOA_WRITE_OPENAPI") != null) {
            Files.writeString(COMMITTED, current);
        }
        assertThat(Files.readString(COMMITTED))
                .as(
                        "server/openapi.json is out of date; JERBOA_WRITE_OPENAPI=1 ./jerboa test writes it anew")
                .isEqualTo(current);
    }
}
