package app.jerboa.server.people;

import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who belongs to which job, with which part. */
@Service
public class Members {
    private final MemberMapper mapper;
    private final Logbook log;

    Members(MemberMapper mapper, Logbook log) {
        this.mapper = mapper;
        this.log = log;
    }

    /** This person's part in a job that is not deleted; within a request about it, read once. */
    public Optional<Role> role(long job, Author person) {
        return KnownRole.of(job, person).or(() -> stored(job, person, true));
    }

    private Optional<Role> stored(long job, Author person, boolean live) {
        return mapper.role(job, person.id(), live).flatMap(Role::fromWire);
    }

    public boolean may(long job, Author person, Right right) {
        return role(job, person).filter(r -> r.may(right)).isPresent();
    }

    /**
     * @throws Problem not found, exactly as if the job did not exist, when this person is no
     *     member; not allowed when their part does not have the right
     */
    public void insist(long job, Author person, Right right) {
        insist(role(job, person), right);
    }

    /** The same, read anew. */
    Role insist(long job, Author person, Right right, boolean live) {
        return insist(stored(job, person, live), right);
    }

    private static Role insist(Optional<Role> part, Right right) {
        Role role = part.orElseThrow(() -> Problem.notFound("job"));
        if (!role.may(right)) {
            throw new Problem(
                    HttpStatus.FORBIDDEN,
                    "not-allowed",
                    Words.say("refused.role", Map.of("role", role.wire())));
        }
        return role;
    }

    List<MemberRow> members(long job) {
        return mapper.members(job);
    }

    @Transactional
    public void add(long job, Author person, Role role) {
        mapper.join(job, person.id(), role.wire());
    }

    @Transactional
    void setRole(long job, long account, Role role, Author by) {
        MemberRow member = need(job, account);
        insistOnAnotherLead(job, account, role != Role.LEAD);
        mapper.setRole(job, account, role.wire());
        log.people(job, member.name() + " is " + role.wire() + " now", by);
    }

    @Transactional
    void remove(long job, long account, Author by) {
        MemberRow member = need(job, account);
        insistOnAnotherLead(job, account, true);
        mapper.leave(job, account);
        log.people(job, Words.say("logged.member-gone", Map.of("person", member.name())), by);
    }

    private MemberRow need(long job, long account) {
        return mapper.members(job).stream()
                .filter(m -> m.id() == account)
                .findFirst()
                .orElseThrow(() -> Problem.notFound("member"));
    }

    private void insistOnAnotherLead(long job, long account, boolean stepsDown) {
        List<Long> leads = mapper.lockLeads(job);
        if (stepsDown && leads.equals(List.of(account))) {
            throw new Problem(HttpStatus.CONFLICT, "last-lead", Words.say("refused.only-lead"));
        }
    }
}
