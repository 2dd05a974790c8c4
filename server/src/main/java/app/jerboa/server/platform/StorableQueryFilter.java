package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Refuses the one sign that PostgreSQL can neither store nor look for, NUL, in any query. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class StorableQueryFilter extends OncePerRequestFilter {
    private final JsonMapper json;

    StorableQueryFilter(JsonMapper json) {
        this.json = json;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String query = request.getQueryString();
        return query == null || !query.contains("%00");
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        ProblemWriter.write(
                json,
                response,
                new Problem(HttpStatus.BAD_REQUEST, "bad-value", Words.say("refused.query-sign")));
    }
}
