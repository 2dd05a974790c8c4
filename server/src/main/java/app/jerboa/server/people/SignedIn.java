package app.jerboa.server.people;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** Begins a session for somebody who has shown who they are. */
@Component
class SignedIn {
    private final SecurityContextRepository contexts;

    SignedIn(SecurityContextRepository contexts) {
        this.contexts = contexts;
    }

    /** Under a fresh session id, so that one handed over beforehand is worth nothing. */
    Person begin(Person person, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(
                        person, null, person.getAuthorities()));
        person.eraseCredentials();
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return person;
    }

    /**
     * @throws Problem when nobody is signed in
     */
    static Person insist(Person person) {
        if (person == null) {
            throw new Problem(
                    HttpStatus.UNAUTHORIZED, "sign-in-first", Words.say("refused.signed-out"));
        }
        return person;
    }
}
