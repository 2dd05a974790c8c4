package app.jerboa.server.platform;

import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The contract: every property we send is always there, so generated types need no question marks.
 */
@Configuration
class OpenApiConfiguration {
    @Bean
    OpenApiCustomizer everythingIsRequired() {
        return api -> {
            api.setInfo(new Info().title("Jerboa").version("1"));
            api.setServers(List.of());
            api.getComponents().getSchemas().values().forEach(OpenApiConfiguration::requireAll);
        };
    }

    private static void requireAll(Schema<?> schema) {
        if (schema.getProperties() != null) {
            schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
        }
    }
}
