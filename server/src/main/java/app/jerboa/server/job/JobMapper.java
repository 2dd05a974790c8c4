package app.jerboa.server.job;

import app.jerboa.server.job.Rows.BesideRow;
import app.jerboa.server.job.Rows.CommandRow;
import app.jerboa.server.job.Rows.JobRow;
import app.jerboa.server.job.Rows.SummaryRow;
import app.jerboa.server.job.Rows.WholeRow;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface JobMapper {
    List<SummaryRow> summaries(@Param("account") long account);

    Optional<JobRow> job(@Param("job") long job);

    /** Locks the job's row, so that changes to one job go one after the other. */
    Optional<JobRow> lock(@Param("job") long job);

    /** Every item of a job with the job's version, in the order of their numbers. */
    List<WholeRow> whole(@Param("job") long job);

    Optional<BesideRow> beside(@Param("job") long job, @Param("account") long account);

    long insertJob();

    void addMember(
            @Param("job") long job, @Param("account") long account, @Param("role") String role);

    /**
     * Adds items or writes them anew.
     *
     * @param items a JSON array of id, kind and texts
     */
    void putItems(@Param("job") long job, @Param("items") String items);

    void deleteItems(@Param("job") long job, @Param("ids") List<Long> ids);

    /** The new version. */
    long raiseVersion(@Param("job") long job, @Param("nextItem") long nextItem);

    void setArchived(@Param("job") long job, @Param("archived") boolean archived);

    void setDeleted(@Param("job") long job, @Param("deleted") boolean deleted);

    long insertCommand(
            @Param("job") long job,
            @Param("account") long account,
            @Param("person") String person,
            @Param("label") String label,
            @Param("changes") String changes);

    Optional<CommandRow> newestDone(@Param("job") long job, @Param("account") long account);

    /**
     * The change that this person took back last and that nothing newer of theirs has overtaken.
     */
    Optional<CommandRow> oldestUndone(@Param("job") long job, @Param("account") long account);

    /**
     * Who last changed something after this command.
     *
     * @param part the JSON that their command must contain
     */
    Optional<String> overtaking(
            @Param("job") long job, @Param("command") long command, @Param("part") String part);

    void setCommandState(@Param("command") long command, @Param("state") String state);

    void dropUndone(@Param("job") long job, @Param("account") long account);
}
