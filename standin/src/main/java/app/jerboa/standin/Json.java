package app.jerboa.standin;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.util.List;
import java.util.function.Function;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.cfg.MutableConfigOverride;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** JSON with the core's values as their texts. */
public final class Json {
    public static final JsonMapper MAPPER =
            JsonMapper.builder()
                    .addModule(coreValues())
                    .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                    .withConfigOverride(List.class, Json::emptyForNone)
                    .withConfigOverride(String.class, Json::emptyForNone)
                    .build();

    private Json() {}

    /** What a profile leaves out is an empty list or text. */
    private static void emptyForNone(MutableConfigOverride type) {
        type.setNullHandling(JsonSetter.Value.forValueNulls(Nulls.AS_EMPTY));
    }

    private static SimpleModule coreValues() {
        SimpleModule module = new SimpleModule();
        module.addDeserializer(Ipv4.class, new FromText<>(Ipv4.class, Ipv4::parse));
        module.addSerializer(Ipv4.class, new ToText<>(Ipv4.class));
        module.addDeserializer(
                DeviceId.class,
                new FromText<>(DeviceId.class, t -> new DeviceId(Long.parseLong(t))));
        module.addSerializer(DeviceId.class, new ToText<>(DeviceId.class));
        return module;
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

    private static final class ToText<T> extends StdSerializer<T> {
        ToText(Class<T> type) {
            super(type);
        }

        @Override
        public void serialize(T value, JsonGenerator out, SerializationContext context) {
            out.writeString(value.toString());
        }
    }
}
