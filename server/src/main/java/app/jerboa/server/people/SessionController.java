package app.jerboa.server.people;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
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
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out; outside {@code /api}, all of which needs a sign-in. */
@RestController
@RequestMapping("/auth")
class SessionController {
    /**
     * Who is signed in; empty texts when nobody is.
     *
     * @param firstCodeNeeded the first account is made with the code that the launcher printed
     */
    record SessionBody(
            boolean signedIn,
            String login,
            String name,
            boolean firstAccountNeeded,
            boolean firstCodeNeeded) {
        static SessionBody of(Person person) {
            return new SessionBody(true, person.getUsername(), person.displayName(), false, false);
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
    private final KnownBrowser browsers;
    private final FirstCode firstCode;

    SessionController(
            People people,
            AuthenticationManager authentication,
            SignInThrottle throttle,
            SignedIn signedIn,
            KnownBrowser browsers,
            FirstCode firstCode) {
        this.people = people;
        this.authentication = authentication;
        this.throttle = throttle;
        this.signedIn = signedIn;
        this.browsers = browsers;
        this.firstCode = firstCode;
    }

    @GetMapping("/session")
    SessionBody session(@Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        return person == null
                ? new SessionBody(false, "", "", people.firstAccountNeeded(), firstCode.isNeeded())
                : SessionBody.of(person);
    }

    @PostMapping("/session")
    SessionBody signIn(
            @RequestBody SignIn body,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        Person person =
                throttle.tried(
                        body.login(),
                        request.getRemoteAddr(),
                        browsers.of(request),
                        () -> authenticate(body));
        browsers.remember(body.login(), request, response);
        return SessionBody.of(signedIn.begin(person, request, response));
    }

    private Person authenticate(SignIn body) {
        try {
            return (Person)
                    authentication
                            .authenticate(
                                    UsernamePasswordAuthenticationToken.unauthenticated(
                                            body.login(), body.password()))
                            .getPrincipal();
        } catch (AuthenticationException e) {
            throw new Problem(
                    HttpStatus.UNAUTHORIZED, "wrong-sign-in", Words.say("refused.sign-in"));
        }
    }

    /** With the code that the launcher printed, where one is needed. */
    @PostMapping("/first-account")
    SessionBody firstAccount(
            @RequestBody FirstAccount body,
            @RequestHeader(name = "X-First-Code", defaultValue = "") String code,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        throttle.tried(
                "first account",
                request.getRemoteAddr(),
                "",
                () -> {
                    firstCode.insist(code);
                    return body;
                });
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
        String login = SignedIn.insist(person).getUsername();
        throttle.tried(
                login,
                "password change",
                "",
                () -> {
                    people.changePassword(person, body.old(), body.fresh(), here);
                    return person;
                });
        return SessionBody.of(person);
    }
}
