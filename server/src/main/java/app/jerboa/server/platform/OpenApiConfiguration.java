package app.jerboa.server.platform;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.List;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The contract: every property we send is always there, so generated types need no question marks;
 * but for patches, which say only what changed.
 */
@Configuration
class OpenApiConfiguration {
    private static final String PATCH = "JobPatch";

    /** A server is named here, or each request would write its own address into the contract. */
    @Bean
    OpenAPI contract() {
        return new OpenAPI()
                .info(new Info().title("Jerboa").version("1"))
                .servers(List.of(new Server().url("/")));
    }

    @Bean
    OpenApiCustomizer everythingIsRequired() {
        return api ->
                api.getComponents()
                        .getSchemas()
                        .forEach(
                                (name, schema) -> {
                                    if (!name.equals(PATCH)) {
                                        requireAll(schema);
                                    }
                                });
    }

    private static void requireAll(Schema<?> schema) {
        if (schema.getProperties() != null) {
            schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
        }
    }
}
