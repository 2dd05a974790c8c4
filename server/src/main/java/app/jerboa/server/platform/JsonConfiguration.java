package app.jerboa.server.platform;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.TextRules;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.util.List;
import java.util.function.Function;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.cfg.MutableCoercionConfig;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.ToStringSerializer;
import tools.jackson.databind.type.LogicalType;

/**
 * Strict JSON: no unknown or doubled keys, no text where a number belongs; core values as their
 * texts.
 */
@Configuration
class JsonConfiguration {
    private static final List<CoercionInputShape> NOT_TEXT =
            List.of(
                    CoercionInputShape.Integer,
                    CoercionInputShape.Float,
                    CoercionInputShape.Boolean);

    @Bean
    JsonMapperBuilderCustomizer strictJson() {
        return builder ->
                builder.enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                        .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                        .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                        .withCoercionConfig(LogicalType.Textual, JsonConfiguration::textOnly)
                        .changeDefaultNullHandling(
                                handling -> JsonSetter.Value.forContentNulls(Nulls.FAIL))
                        .addModule(coreValues());
    }

    private static void textOnly(MutableCoercionConfig text) {
        for (CoercionInputShape shape : NOT_TEXT) {
            text.setCoercion(shape, CoercionAction.Fail);
        }
    }

    private static SimpleModule coreValues() {
        SimpleModule module = new SimpleModule();
        module.addDeserializer(Ipv4.class, new FromText<>(Ipv4.class, Ipv4::parse));
        module.addDeserializer(String.class, new SoundText());
        module.addSerializer(Ipv4.class, ToStringSerializer.instance);
        return module;
    }

    /** Text that can be stored and shown: without NUL and without half of a character. */
    private static final class SoundText extends StringDeserializer {
        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String text = super.deserialize(parser, context);
            if (text != null && !TextRules.storable(text)) {
                context.reportInputMismatch(this, "a sign that cannot be stored");
            }
            return text;
        }
    }

    private static final class FromText<T> extends StdDeserializer<T> {
        private final transient Function<String, T> reader;

        FromText(Class<T> type, Function<String, T> reader) {
            super(type);
            this.reader = reader;
        }

        @Override
        public T deserialize(JsonParser parser, DeserializationContext context) {
            return reader.apply(parser.getString());
        }
    }
}
