package app.jerboa.wire.http;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A request with places for values. Each value is encoded for where it stands, so that none can
 * change the request around it. The path stays a path: what would lead to another host is refused
 * when the template is made.
 */
public final class RequestTemplate {
    private static final Pattern PLACE =
            Pattern.compile("\\{([a-z]+(?::\\+?(?:0[1-8])?[dxX])?)\\}");

    private final String method;
    private final Text target;
    private final BodyForm form;
    private final Text body;

    /** Literal text and places by turns: {@code literals} is longer by one. */
    private record Text(List<String> literals, List<Place> places, BodyForm form) {
        static Text of(String written, BodyForm form) {
            List<String> literals = new ArrayList<>();
            List<Place> places = new ArrayList<>();
            Matcher m = PLACE.matcher(written);
            int from = 0;
            while (m.find()) {
                literals.add(written.substring(from, m.start()));
                places.add(Place.of(m.group(1)));
                from = m.end();
            }
            literals.add(written.substring(from));
            return new Text(literals, places, form);
        }

        String fill(Values values) {
            StringBuilder all = new StringBuilder(literals.get(0));
            for (int i = 0; i < places.size(); i++) {
                all.append(form.write(places.get(i).write(values))).append(literals.get(i + 1));
            }
            return all.toString();
        }

        Optional<Map<Place, String>> read(String text) {
            StringBuilder pattern = new StringBuilder(Pattern.quote(literals.get(0)));
            for (int i = 0; i < places.size(); i++) {
                pattern.append('(').append(form.pattern()).append(')');
                pattern.append(Pattern.quote(literals.get(i + 1)));
            }
            Matcher m = Pattern.compile(pattern.toString()).matcher(text);
            if (!m.matches()) {
                return Optional.empty();
            }
            Map<Place, String> read = new HashMap<>();
            for (int i = 0; i < places.size(); i++) {
                read.put(places.get(i), form.read(m.group(i + 1)));
            }
            return Optional.of(read);
        }
    }

    private RequestTemplate(String method, Text target, BodyForm form, Text body) {
        this.method = method;
        this.target = target;
        this.form = form;
        this.body = body;
    }

    /**
     * @param path from the root, with its query
     * @throws IllegalArgumentException for a path that could lead elsewhere
     */
    public static RequestTemplate of(String method, String path, BodyForm form, String body) {
        if (!path.startsWith("/")
                || path.startsWith("//")
                || path.startsWith("/\\")
                || path.chars().anyMatch(c -> c <= ' ' || c == '\\' || c == 0x7F)) {
            throw new IllegalArgumentException("a path stays at the device's own address");
        }
        return new RequestTemplate(
                method, Text.of(path, BodyForm.ADDRESS), form, Text.of(body, form));
    }

    /**
     * @throws IllegalArgumentException where a place has no value
     */
    public HttpMessage fill(Values values) {
        String filled = body.fill(values);
        return new HttpMessage(
                method, target.fill(values), filled.isEmpty() ? "" : form.contentType(), filled);
    }

    /** The values of a request that was made from this; empty for another request. */
    public Optional<Values> read(HttpMessage message) {
        if (!message.method().equals(method)) {
            return Optional.empty();
        }
        return target.read(message.target())
                .flatMap(
                        inTarget ->
                                body.read(message.body())
                                        .flatMap(inBody -> values(inTarget, inBody)));
    }

    private static Optional<Values> values(Map<Place, String> one, Map<Place, String> other) {
        Map<Place, String> all = new HashMap<>(one);
        all.putAll(other);
        OptionalInt value = OptionalInt.empty();
        Map<String, String> texts = new HashMap<>();
        for (Map.Entry<Place, String> e : all.entrySet()) {
            if (!e.getKey().name().equals(Values.VALUE)) {
                texts.put(e.getKey().name(), e.getValue());
                continue;
            }
            try {
                value = OptionalInt.of(Integer.parseInt(e.getValue(), e.getKey().base()));
            } catch (NumberFormatException notANumber) {
                return Optional.empty();
            }
        }
        return Optional.of(Values.read(value, texts));
    }
}
