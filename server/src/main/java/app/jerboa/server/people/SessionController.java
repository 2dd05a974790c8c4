package app.jerboa.server.people;

import app.jerboa.server.platform.Problem;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out; outside {@code /api}, all of which needs a sign-in. */
@RestController
@RequestMapping("/auth")
class SessionController {
    /** Who is signed in; empty texts when nobody is. */
    record SessionBody(boolean signedIn, String login, String name, boolean firstAccountNeeded) {}

    record SignIn(String login, String password) {
        @Override
        public String toString() {
            return "SignIn[" + login + "]";
        }
    }

    record FirstAccount(String login, String name, String password) {
        @Override
        public String toString() {
            return "FirstAccount[" + login + "]";
        }
    }

    private final People people;
    private final AuthenticationManager authentication;
    private final SecurityContextRepository contexts;

    SessionController(
            People people,
            AuthenticationManager authentication,
            SecurityContextRepository contexts) {
        this.people = people;
        this.authentication = authentication;
        this.contexts = contexts;
    }

    @GetMapping("/session")
    SessionBody session(@Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        return person == null
                ? new SessionBody(false, "", "", people.firstAccountNeeded())
                : new SessionBody(true, person.getUsername(), person.displayName(), false);
    }

    @PostMapping("/session")
    SessionBody signIn(
            @RequestBody SignIn body,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        Person person = (Person) authenticate(body).getPrincipal();
        Authentication known =
                UsernamePasswordAuthenticationToken.authenticated(
                        person, null, person.getAuthorities());
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(known);
        person.eraseCredentials();
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return session(person);
    }

    private Authentication authenticate(SignIn body) {
        try {
            return authentication.authenticate(
                    UsernamePasswordAuthenticationToken.unauthenticated(
                            body.login(), body.password()));
        } catch (AuthenticationException e) {
            throw new Problem(
                    HttpStatus.UNAUTHORIZED,
                    "wrong-sign-in",
                    "That name and password do not go together. Check both and try again.");
        }
    }

    @PostMapping("/first-account")
    SessionBody firstAccount(
            @RequestBody FirstAccount body,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        people.makeFirstAccount(body.login(), body.name(), body.password());
        return signIn(new SignIn(body.login(), body.password()), request, response);
    }

    @DeleteMapping("/session")
    void signOut(@Parameter(hidden = true) HttpServletRequest request) {
        if (request.getSession(false) != null) {
            request.getSession(false).invalidate();
        }
        SecurityContextHolder.clearContext();
    }
}
