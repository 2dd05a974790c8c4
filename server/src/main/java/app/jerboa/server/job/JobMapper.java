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

    /** Version and items by one statement, and so of one moment. */
    Optional<WholeRow> whole(@Param("job") long job);

    long insertJob();

    void addMember(
            @Param("job") long job, @Param("account") long account, @Param("role") String role);

    void deleteItems(@Param("job") long job, @Param("ids") List<Long> ids);

    /**
     * Writes what a change put, and tells every server of it once it is committed; in one
     * statement, since whoever changes a job keeps others from it until it is done.
     *
     * @param items those to add or to write anew, a JSON array of id, kind and texts
     * @param notice that the job has its next version, as {@link
     *     app.jerboa.server.live.Live#ofPlan} words it
     * @return the new version
     */
    long store(
            @Param("job") long job,
            @Param("items") String items,
            @Param("nextItem") long nextItem,
            @Param("notice") String notice);

    void setArchived(@Param("job") long job, @Param("archived") boolean archived);

    void setDeleted(@Param("job") long job, @Param("deleted") boolean deleted);
}
