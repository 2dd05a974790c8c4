package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.task.ThreadPoolTaskSchedulerCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionException;

/** What is said while the database is away, by requests and by what runs on a timer. */
@Configuration
class DatabaseAway {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    /**
     * It may have gone away while it said that all is stored: of what was to be written nobody can
     * say whether it was.
     */
    static Problem problem(HttpServletRequest request) {
        boolean reads = request.getMethod().equals("GET");
        return new Problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "database-unavailable",
                reads ? Words.say("refused.database-read") : Words.say("refused.database-write"));
    }

    /** Whether something failed because the database could not be reached or went away. */
    static boolean isCauseOf(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof DataAccessResourceFailureException
                    || cause instanceof TransactionException) {
                return true;
            }
        }
        return false;
    }

    /** A task that could not run is tried again by its timer; one line that says why is enough. */
    @Bean
    ThreadPoolTaskSchedulerCustomizer oneLineOnFailure() {
        return scheduler ->
                scheduler.setErrorHandler(
                        e -> LOG.warn("a task on a timer has to wait: {}", Threads.reason(e)));
    }
}
