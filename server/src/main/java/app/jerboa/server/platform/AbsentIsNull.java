package app.jerboa.server.platform;

import com.fasterxml.jackson.databind.type.TypeFactory;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import org.springframework.stereotype.Component;

/** In the contract, what may be absent is its type or null. */
@Component
class AbsentIsNull implements ModelConverter {
    private static final Map<Class<?>, Class<?>> NUMBERS =
            Map.of(
                    OptionalInt.class, Integer.class,
                    OptionalLong.class, Long.class,
                    OptionalDouble.class, Double.class);

    @Override
    public Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        Class<?> raw = TypeFactory.defaultInstance().constructType(type.getType()).getRawClass();
        if (NUMBERS.containsKey(raw)) {
            return orNull(context.resolve(new AnnotatedType(NUMBERS.get(raw))));
        }
        Schema<?> resolved = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
        if (resolved != null && raw.isRecord()) {
            markOptionals(raw, resolved, context);
        }
        return resolved;
    }

    /** An {@code Optional} was taken off its type already when the property was resolved. */
    private static void markOptionals(
            Class<?> raw, Schema<?> resolved, ModelConverterContext context) {
        Schema<?> model =
                resolved.get$ref() == null
                        ? resolved
                        : context.getDefinedModels().get(resolved.get$ref().replaceAll(".*/", ""));
        if (model == null || model.getProperties() == null) {
            return;
        }
        for (RecordComponent c : raw.getRecordComponents()) {
            if (c.getType() == Optional.class) {
                model.getProperties().computeIfPresent(c.getName(), (name, s) -> orNull(s));
            }
        }
    }

    private static Schema<?> orNull(Schema<?> there) {
        if (there.getAnyOf() != null) {
            return there;
        }
        if (there.get$ref() == null) {
            there.addType("null");
            return there;
        }
        Schema<Object> absent = new Schema<>();
        absent.addType("null");
        Schema<Object> either = new Schema<>();
        either.setAnyOf(List.of(new Schema<Object>().$ref(there.get$ref()), absent));
        return either;
    }
}
