package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lets so many requests work at a time that the desks always find a connection to the database; the
 * others wait in line, and are refused plainly when they have waited long.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RoomFilter extends OncePerRequestFilter {
    /** Of the 12 connections of the pool, 4 are left to desks, leases and the watches. */
    private static final int AT_A_TIME = 8;

    private static final int PATIENCE_SECONDS = 8;

    private final Semaphore room = new Semaphore(AT_A_TIME, true);
    private final JsonMapper json;

    RoomFilter(JsonMapper json) {
        this.json = json;
    }

    /** What needs no database is not counted, and a desk must always be able to open. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !path.startsWith("/api/") && !path.startsWith("/auth/");
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!entered()) {
            response.setHeader("Retry-After", "2");
            ProblemWriter.write(json, response, tooBusy());
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            room.release();
        }
    }

    private boolean entered() {
        try {
            return room.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private static Problem tooBusy() {
        return new Problem(
                HttpStatus.SERVICE_UNAVAILABLE, "too-busy", Words.say("refused.no-room"));
    }
}
