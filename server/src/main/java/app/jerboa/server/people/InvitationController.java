package app.jerboa.server.people;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.OffsetDateTime;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The other end of an invitation: whoever has the link looks at it and comes in. */
@RestController
@RequestMapping("/auth/invitations/{secret}")
class InvitationController {
    /** What the link offers. */
    record Offer(String job, String role, String invitedBy, OffsetDateTime expiresAt) {}

    /** The job that was joined. */
    record Joined(long job) {}

    record NewAccount(String login, String name, String password) {
        @Override
        public String toString() {
            return "NewAccount[" + login + "]";
        }
    }

    private final Invitations invitations;
    private final People people;
    private final SignedIn signedIn;
    private final TransactionTemplate transactions;

    InvitationController(
            Invitations invitations,
            People people,
            SignedIn signedIn,
            TransactionTemplate transactions) {
        this.invitations = invitations;
        this.people = people;
        this.signedIn = signedIn;
        this.transactions = transactions;
    }

    @GetMapping
    Offer look(@PathVariable("secret") String secret) {
        InvitationRow row = invitations.need(secret);
        return new Offer(row.jobName(), row.role(), row.invitedBy(), row.expiresAt());
    }

    /** Whoever is signed in joins. */
    @PostMapping("/join")
    Joined join(
            @PathVariable("secret") String secret,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        return new Joined(invitations.join(secret, SignedIn.insist(person)));
    }

    /** Makes an account, joins with it and signs it in; all or nothing. */
    @PostMapping("/account")
    Joined makeAccount(
            @PathVariable("secret") String secret,
            @RequestBody NewAccount body,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        return transactions.execute(
                t -> {
                    invitations.need(secret);
                    Person person = people.makeAccount(body.login(), body.name(), body.password());
                    Joined joined = new Joined(invitations.join(secret, person));
                    signedIn.begin(person, request, response);
                    return joined;
                });
    }
}
