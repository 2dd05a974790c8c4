package app.jerboa.standin.control;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.Json;
import app.jerboa.standin.Rig;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The committed contract is what is served; {@code JERBOA_WRITE_OPENAPI=1} writes it anew. */
class ContractTest {
    private static final Path FILE = Path.of("../docs/formats/hall.openapi.json");

    private final List<Route<?>> routes =
            new Routes(new Rig(InstantSource.system(), WorldClock.wall())).all();

    @Test
    void isTheCommittedOne() throws Exception {
        String made =
                Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(Contract.of(routes))
                        + "\n";
        if (System.getenv("JERBOA_WRITE_OPENAPI") != null) {
            Files.writeString(FILE, made);
        }
        assertThat(Files.readString(FILE, StandardCharsets.UTF_8)).isEqualTo(made);
    }

    /** Two records of one name would hide each other, and no two routes may be the same. */
    @Test
    void namesEachThingOnce() {
        Set<String> seen = new HashSet<>();
        routes.forEach(
                r ->
                        assertThat(
                                        seen.add(
                                                r.method()
                                                        + " "
                                                        + r.path().replaceAll("\\{\\w+}", "*")))
                                .as(r.path())
                                .isTrue());
        JsonNode schemas = Contract.of(routes).get("components").get("schemas");
        assertThat(schemas.size()).isGreaterThan(30);
        for (JsonNode s : schemas) {
            assertThat(s.get("type").asString()).isEqualTo("object");
        }
    }
}
