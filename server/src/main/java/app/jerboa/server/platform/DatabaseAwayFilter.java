package app.jerboa.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sessions are read from the database before any controller is reached; when it is away there, that
 * is answered as plainly as anywhere else. So it is when the session cannot be stored while an
 * answer is being written.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class DatabaseAwayFilter extends OncePerRequestFilter {
    private final JsonMapper json;

    DatabaseAwayFilter(JsonMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | DataAccessException | TransactionException e) {
            if (!DatabaseAway.isCauseOf(e)) {
                throw e;
            }
            if (!response.isCommitted()) {
                response.reset();
                ProblemWriter.write(json, response, DatabaseAway.problem(request));
            }
        }
    }
}
