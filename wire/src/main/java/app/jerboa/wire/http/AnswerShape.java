package app.jerboa.wire.http;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import java.nio.charset.StandardCharsets;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Where a value stands in an answer: at a JSON pointer (RFC 6901), or in the first group of a
 * pattern. The pattern's engine takes time in proportion to the answer's length, whatever the
 * pattern.
 */
public final class AnswerShape {
    /** Longer answers are not read: 64 kB. */
    public static final int LONGEST = 65_536;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final JsonPointer pointer;
    private final Pattern pattern;

    private AnswerShape(JsonPointer pointer, Pattern pattern) {
        this.pointer = pointer;
        this.pattern = pattern;
    }

    /**
     * @param pointer empty for a pattern
     * @throws IllegalArgumentException for one that cannot be followed, in plain words
     */
    public static AnswerShape of(String pointer, String pattern) {
        try {
            if (!pointer.isEmpty()) {
                return new AnswerShape(JsonPointer.compile(pointer), null);
            }
            Pattern compiled = Pattern.compile(pattern);
            if (compiled.groupCount() < 1) {
                throw new IllegalArgumentException("the pattern needs a group ( ) for the value");
            }
            return new AnswerShape(null, compiled);
        } catch (PatternSyntaxException e) {
            throw new IllegalArgumentException(
                    "the pattern cannot be followed: " + e.getDescription(), e);
        }
    }

    /** The value as the answer writes it. */
    public Decoded<String> read(String answer) {
        if (answer.length() > LONGEST) {
            return rejected("the answer is longer than 64 kB");
        }
        return pointer == null ? byPattern(answer) : byPointer(answer);
    }

    private Decoded<String> byPattern(String answer) {
        Matcher m = pattern.matcher(answer);
        return m.find() && m.group(1) != null
                ? Decoded.accepted(m.group(1))
                : rejected("the answer does not match the profile's pattern");
    }

    private Decoded<String> byPointer(String answer) {
        try {
            JsonNode found = JSON.readTree(answer).at(pointer);
            return found.isValueNode() && !found.isNull()
                    ? Decoded.accepted(found.asString())
                    : rejected("the answer has nothing at " + pointer);
        } catch (JacksonException e) {
            return rejected("the answer is no JSON");
        }
    }

    private static Decoded<String> rejected(String reason) {
        return Decoded.rejected(Octets.of(reason.getBytes(StandardCharsets.UTF_8)), reason);
    }
}
