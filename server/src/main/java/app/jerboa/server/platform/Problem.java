package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/**
 * A refusal in plain words, answered as a problem detail (RFC 9457) with a stable code.
 *
 * <p>The sentence says what happened, what was kept and what to do next.
 */
public final class Problem extends RuntimeException {
    private final HttpStatus status;
    private final String code;
    private final transient Map<String, Object> more;

    public Problem(HttpStatus status, String code, String sentence) {
        this(status, code, sentence, Map.of());
    }

    public Problem(HttpStatus status, String code, String sentence, Map<String, Object> more) {
        super(sentence);
        this.status = status;
        this.code = code;
        this.more = new LinkedHashMap<>(more);
    }

    public static Problem notFound(String what) {
        return new Problem(
                HttpStatus.NOT_FOUND,
                "not-found",
                Words.say("refused.no-such", Map.of("what", what)));
    }

    public HttpStatus status() {
        return status;
    }

    public String code() {
        return code;
    }

    public ProblemDetail detail() {
        ProblemDetail detail = detail(status, code, getMessage());
        more.forEach(detail::setProperty);
        return detail;
    }

    static ProblemDetail detail(HttpStatus status, String code, String sentence) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, sentence);
        detail.setProperty("code", code);
        return detail;
    }
}
