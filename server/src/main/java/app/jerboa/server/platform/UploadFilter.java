package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes two large bodies of a person at a time: whoever sends files slowly, or many at once, must
 * not take the places of all others. Stands behind the sign-in, as it counts by person.
 */
class UploadFilter extends OncePerRequestFilter {
    /** In bytes; anything smaller is no upload. */
    static final int LARGE = 256 << 10;

    private static final int AT_A_TIME = 2;

    private final JsonMapper json;
    private final Map<String, Integer> underWay = new ConcurrentHashMap<>();

    UploadFilter(JsonMapper json) {
        this.json = json;
    }

    /** A body that does not say its length may be of any. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        boolean unsaid =
                request.getContentLengthLong() < 0
                        && request.getHeader("Transfer-Encoding") != null;
        return request.getContentLengthLong() < LARGE && !unsaid;
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Principal person = request.getUserPrincipal();
        String name = person == null ? request.getRemoteAddr() : person.getName();
        if (underWay.merge(name, 1, Integer::sum) > AT_A_TIME) {
            done(name);
            ProblemWriter.write(json, response, tooMany());
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            done(name);
        }
    }

    private void done(String name) {
        underWay.computeIfPresent(name, (n, count) -> count == 1 ? null : count - 1);
    }

    private static Problem tooMany() {
        return new Problem(
                HttpStatus.TOO_MANY_REQUESTS, "too-many-uploads", Words.say("refused.uploads"));
    }
}
