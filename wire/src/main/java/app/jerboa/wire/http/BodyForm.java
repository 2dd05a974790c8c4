package app.jerboa.wire.http;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import tools.jackson.core.JacksonException;
import tools.jackson.core.io.JsonStringEncoder;
import tools.jackson.databind.json.JsonMapper;

/** Where a value stands, and so how it is written there: no value can end its place. */
public enum BodyForm {
    /** In a path or a query: percent signs (RFC 3986). */
    ADDRESS("", "[^/?#&]*"),
    NONE("", ""),
    FORM("application/x-www-form-urlencoded", "[^&]*"),
    JSON("application/json", "[^\"\\\\]*(?:\\\\.[^\"\\\\]*)*");

    private static final JsonMapper READER = JsonMapper.builder().build();

    private final String contentType;
    private final String pattern;

    BodyForm(String contentType, String pattern) {
        this.contentType = contentType;
        this.pattern = pattern;
    }

    public String contentType() {
        return contentType;
    }

    /** What a written value can consist of, for reading a request again. */
    String pattern() {
        return pattern;
    }

    /** As profiles write it. */
    public static BodyForm named(String word) {
        return Arrays.stream(values())
                .filter(f -> f.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no form is called " + word));
    }

    String write(String value) {
        return switch (this) {
            case ADDRESS, FORM ->
                    URLEncoder.encode(value, StandardCharsets.UTF_8).replace("+", "%20");
            case JSON -> new String(JsonStringEncoder.getInstance().quoteAsCharArray(value));
            case NONE -> value;
        };
    }

    /** The value again; the text itself where it was written by no hand of ours. */
    String read(String written) {
        try {
            return switch (this) {
                case ADDRESS -> URLDecoder.decode(written.replace("+", "%2B"), UTF_8);
                case FORM -> URLDecoder.decode(written, UTF_8);
                case JSON -> READER.readValue('"' + written + '"', String.class);
                case NONE -> written;
            };
        } catch (IllegalArgumentException | JacksonException e) {
            return written;
        }
    }

    private static final java.nio.charset.Charset UTF_8 = StandardCharsets.UTF_8;
}
