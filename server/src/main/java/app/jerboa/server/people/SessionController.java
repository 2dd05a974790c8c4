package app.jerboa.server.people;

import app.jerboa.server.platform.Problem;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out; outside {@code /api}, all of which needs a sign-in. */
@RestController
@RequestMapping("/auth")
class SessionController {
    /** Who is signed in; empty texts when nobody is. */
    record SessionBody(boolean signedIn, String login, String name, boolean firstAccountNeeded) {
        static SessionBody of(Person person) {
            return new SessionBody(true, person.getUsername(), person.displayName(), false);
        }
    }

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

    record PasswordChange(String old, String fresh) {
        @Override
        public String toString() {
            return "PasswordChange[]";
        }
    }

    private final People people;
    private final AuthenticationManager authentication;
    private final SignInThrottle throttle;
    private final SignedIn signedIn;

    SessionController(
            People people,
            AuthenticationManager authentication,
            SignInThrottle throttle,
            SignedIn signedIn) {
        this.people = people;
        this.authentication = authentication;
        this.throttle = throttle;
        this.signedIn = signedIn;
    }

    @GetMapping("/session")
    SessionBody session(@Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        return person == null
                ? new SessionBody(false, "", "", people.firstAccountNeeded())
                : SessionBody.of(person);
    }

    @PostMapping("/session")
    SessionBody signIn(
            @RequestBody SignIn body,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        String origin = request.getRemoteAddr();
        throttle.insistOnPatience(body.login(), origin);
        Person person = authenticate(body, origin);
        throttle.succeeded(body.login(), origin);
        return SessionBody.of(signedIn.begin(person, request, response));
    }

    private Person authenticate(SignIn body, String origin) {
        try {
            return (Person)
                    authentication
                            .authenticate(
                                    UsernamePasswordAuthenticationToken.unauthenticated(
                                            body.login(), body.password()))
                            .getPrincipal();
        } catch (AuthenticationException e) {
            throttle.failed(body.login(), origin);
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
        Person person = people.loadUserByUsername(body.login());
        return SessionBody.of(signedIn.begin(person, request, response));
    }

    @DeleteMapping("/session")
    void signOut(@Parameter(hidden = true) HttpServletRequest request) {
        if (request.getSession(false) != null) {
            request.getSession(false).invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    /** Ends every session of this person, this one too. */
    @DeleteMapping("/sessions")
    void signOutEverywhere(
            @Parameter(hidden = true) @AuthenticationPrincipal Person person,
            @Parameter(hidden = true) HttpServletRequest request) {
        people.signOutEverywhere(SignedIn.insist(person), "");
        signOut(request);
    }

    /** Another password; this session stays, all others of this person end. */
    @PutMapping("/password")
    SessionBody changePassword(
            @RequestBody PasswordChange body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person,
            @Parameter(hidden = true) HttpServletRequest request) {
        String here = request.getSession(true).getId();
        people.changePassword(SignedIn.insist(person), body.old(), body.fresh(), here);
        return SessionBody.of(person);
    }
}
