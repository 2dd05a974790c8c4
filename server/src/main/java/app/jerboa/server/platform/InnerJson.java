package app.jerboa.server.platform;

import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * JSON from ourselves (profiles, the rig, the desk's page), where a value left out means "none".
 */
@Component
public class InnerJson {
    private final JsonMapper mapper;

    InnerJson(JsonMapper strict) {
        this.mapper =
                strict.rebuild()
                        .disable(
                                DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES,
                                DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                        .build();
    }

    public JsonMapper mapper() {
        return mapper;
    }
}
