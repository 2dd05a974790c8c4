package app.jerboa.server.people;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface MemberMapper {
    /**
     * @param live of jobs that stand, else of deleted ones
     */
    Optional<String> role(
            @Param("job") long job, @Param("account") long account, @Param("live") boolean live);

    List<MemberRow> members(@Param("job") long job);

    int join(@Param("job") long job, @Param("account") long account, @Param("role") String role);

    int setRole(@Param("job") long job, @Param("account") long account, @Param("role") String role);

    int leave(@Param("job") long job, @Param("account") long account);

    List<Long> lockLeads(@Param("job") long job);

    long insertInvitation(
            @Param("job") long job,
            @Param("tokenHash") String tokenHash,
            @Param("role") String role,
            @Param("by") String by,
            @Param("days") int days);

    List<InvitationRow> invitations(@Param("job") long job);

    Optional<InvitationRow> invitation(@Param("tokenHash") String tokenHash);

    int useInvitation(@Param("invitation") long invitation, @Param("by") String by);

    int withdraw(@Param("job") long job, @Param("invitation") long invitation);

    /** Of each line, by its place; the arrays are equally long. */
    List<LineGuard.Standing> standing(
            @Param("sessions") String[] sessions,
            @Param("accounts") Long[] accounts,
            @Param("jobs") Long[] jobs,
            @Param("nowMillis") long nowMillis);
}
