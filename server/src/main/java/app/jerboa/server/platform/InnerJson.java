package app.jerboa.server.platform;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.cfg.MutableConfigOverride;
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
                                DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES,
                                DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                        .withConfigOverride(List.class, InnerJson::emptyForNone)
                        .withConfigOverride(String.class, InnerJson::emptyForNone)
                        .build();
    }

    /** The same without a server around it, for tests and tools. */
    public static InnerJson alone() {
        JsonMapper.Builder builder = JsonMapper.builder();
        new JsonConfiguration().strictJson().customize(builder);
        return new InnerJson(
                builder.enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES).build());
    }

    private static void emptyForNone(MutableConfigOverride type) {
        type.setNullHandling(JsonSetter.Value.forValueNulls(Nulls.AS_EMPTY));
    }

    public JsonMapper mapper() {
        return mapper;
    }
}
