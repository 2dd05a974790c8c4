package app.jerboa.server.people;

import app.jerboa.server.platform.Author;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** The part that somebody has in a job, as it was read when the request under way was let in. */
record KnownRole(long job, long account, Role role) {
    private static final String KEPT = KnownRole.class.getName();

    void keep(HttpServletRequest request) {
        request.setAttribute(KEPT, this);
    }

    /** Empty where no request about this job is under way on this thread. */
    static Optional<Role> of(long job, Author person) {
        return RequestContextHolder.getRequestAttributes()
                                instanceof ServletRequestAttributes attributes
                        && attributes.getRequest().getAttribute(KEPT) instanceof KnownRole known
                        && known.job == job
                        && known.account == person.id()
                ? Optional.of(known.role)
                : Optional.empty();
    }
}
