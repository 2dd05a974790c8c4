package app.jerboa.server.people;

import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who belongs to a job: seen by all its members, changed by its leads. */
@RestController
@RequestMapping("/api/jobs/{job}/people")
class PeopleController {
    private static final int LONGEST_DAYS = 30;

    /** Members, and for leads the invitations that can still be used. */
    record PeopleView(List<MemberBody> members, List<InvitationBody> invitations) {}

    record MemberBody(long id, String login, String name, String role, boolean you) {}

    record InvitationBody(long id, String role, String invitedBy, OffsetDateTime expiresAt) {}

    record Invite(String role, int days) {}

    /** The link's last part, shown this once. */
    record Invited(long id, String path) {}

    record RoleBody(String role) {}

    private final Members members;
    private final Invitations invitations;

    PeopleController(Members members, Invitations invitations) {
        this.members = members;
        this.invitations = invitations;
    }

    @GetMapping
    PeopleView view(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        List<MemberBody> all =
                members.members(job).stream()
                        .map(
                                m ->
                                        new MemberBody(
                                                m.id(),
                                                m.login(),
                                                m.name(),
                                                m.role(),
                                                m.id() == person.id()))
                        .toList();
        boolean lead = members.may(job, person, Right.MANAGE);
        return new PeopleView(
                all,
                lead
                        ? invitations.open(job).stream().map(PeopleController::invitation).toList()
                        : List.of());
    }

    private static InvitationBody invitation(InvitationRow row) {
        return new InvitationBody(row.id(), row.role(), row.invitedBy(), row.expiresAt());
    }

    @PostMapping("/invitations")
    @Needs(Right.MANAGE)
    Invited invite(
            @PathVariable("job") long job,
            @RequestBody Invite body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        if (body.days() < 1 || body.days() > LONGEST_DAYS) {
            throw bad("days", Words.say("refused.invitation-days", Map.of("most", LONGEST_DAYS)));
        }
        Invitations.Fresh fresh = invitations.invite(job, role(body.role()), body.days(), person);
        return new Invited(fresh.id(), "/invitation/" + fresh.secret());
    }

    @DeleteMapping("/invitations/{invitation}")
    @Needs(Right.MANAGE)
    void withdraw(
            @PathVariable("job") long job,
            @PathVariable("invitation") long invitation,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        invitations.withdraw(job, invitation, person);
    }

    @PutMapping("/{account}/role")
    @Needs(Right.MANAGE)
    void setRole(
            @PathVariable("job") long job,
            @PathVariable("account") long account,
            @RequestBody RoleBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        members.setRole(job, account, role(body.role()), person);
    }

    @DeleteMapping("/{account}")
    @Needs(Right.MANAGE)
    void remove(
            @PathVariable("job") long job,
            @PathVariable("account") long account,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        members.remove(job, account, person);
    }

    private static Role role(String name) {
        return Role.fromWire(name).orElseThrow(() -> bad("role", Words.say("refused.part")));
    }

    private static Problem bad(String field, String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                Words.say("refused.unchanged", Map.of("why", sentence)),
                Map.of("field", field));
    }
}
