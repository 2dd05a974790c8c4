package app.jerboa.server.people;

import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links that let one person each into a job, for some days. Only a hash of a link is kept. */
@Service
class Invitations {
    private static final int SECRET_OCTETS = 24;

    /** An invitation just made, with the secret that is never shown again. */
    record Fresh(long id, String secret) {}

    private final MemberMapper mapper;
    private final Logbook log;
    private final SecureRandom random = new SecureRandom();

    Invitations(MemberMapper mapper, Logbook log) {
        this.mapper = mapper;
        this.log = log;
    }

    @Transactional
    Fresh invite(long job, Role role, int days, Author by) {
        byte[] octets = new byte[SECRET_OCTETS];
        random.nextBytes(octets);
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
        long id = mapper.insertInvitation(job, hash(secret), role.wire(), by.displayName(), days);
        log.people(
                job, Words.say("logged.invitation", Map.of("role", role.wire(), "days", days)), by);
        return new Fresh(id, secret);
    }

    List<InvitationRow> open(long job) {
        return mapper.invitations(job);
    }

    @Transactional
    void withdraw(long job, long invitation, Author by) {
        if (mapper.withdraw(job, invitation) == 0) {
            throw Problem.notFound("invitation");
        }
        log.people(job, Words.say("logged.invitation-withdrawn"), by);
    }

    /**
     * @throws Problem for one that never was, is used, withdrawn or out of date
     */
    InvitationRow need(String secret) {
        return mapper.invitation(hash(secret))
                .filter(InvitationRow::open)
                .orElseThrow(Invitations::spent);
    }

    private static Problem spent() {
        return new Problem(
                HttpStatus.NOT_FOUND, "invitation-spent", Words.say("refused.invitation"));
    }

    /** Uses the invitation; the job that was joined. */
    @Transactional
    long join(String secret, Author person) {
        InvitationRow invitation = need(secret);
        if (mapper.useInvitation(invitation.id(), person.displayName()) == 0) {
            throw spent();
        }
        if (mapper.join(invitation.jobId(), person.id(), invitation.role()) == 1) {
            String text =
                    Words.say(
                            "logged.joined",
                            Map.of("person", person.displayName(), "role", invitation.role()));
            log.people(invitation.jobId(), text, person);
        }
        return invitation.jobId();
    }

    private static String hash(String secret) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            return HexFormat.of().formatHex(digest.digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
