package app.jerboa.server.job;

import app.jerboa.server.job.Rows.JobRow;
import app.jerboa.server.job.Rows.WholeRow;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
public interface JobMapper {
    List<JobSummaryRow> summaries(@Param("account") long account);

    Optional<JobRow> job(@Param("job") long job);

    /** Locks the job's row, so that changes to one job go one after the other. */
    Optional<JobRow> lock(@Param("job") long job);

    /** Every item of a job with the job's version, in the order of their numbers. */
    List<WholeRow> whole(@Param("job") long job);

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
}
