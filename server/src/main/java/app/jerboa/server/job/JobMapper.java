package app.jerboa.server.job;

import app.jerboa.server.job.Rows.CommandRow;
import app.jerboa.server.job.Rows.DeviceRow;
import app.jerboa.server.job.Rows.JobRow;
import app.jerboa.server.job.Rows.LineRow;
import app.jerboa.server.job.Rows.RangeRow;
import app.jerboa.server.job.Rows.SummaryRow;
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

    List<RangeRow> ranges(@Param("job") long job);

    List<DeviceRow> devices(@Param("job") long job);

    List<LineRow> lines(@Param("job") long job);

    void raiseVersion(@Param("job") long job);

    void updateDevice(@Param("job") long job, @Param("it") DeviceRow device);

    long insertJob(@Param("it") JobRow job);

    void addMember(
            @Param("job") long job, @Param("account") long account, @Param("role") String role);

    void insertRange(@Param("job") long job, @Param("it") RangeRow range);

    long insertDevice(
            @Param("job") long job, @Param("position") int position, @Param("it") DeviceRow device);

    void insertLine(@Param("job") long job, @Param("it") LineRow line);

    long insertCommand(
            @Param("job") long job,
            @Param("account") long account,
            @Param("person") String person,
            @Param("kind") String kind,
            @Param("label") String label,
            @Param("changes") String changes,
            @Param("state") String state);

    Optional<CommandRow> newestDone(@Param("job") long job, @Param("account") long account);

    /**
     * The change that this person took back last and that nothing newer of theirs has overtaken.
     */
    Optional<CommandRow> oldestUndone(@Param("job") long job, @Param("account") long account);

    void setCommandState(@Param("command") long command, @Param("state") String state);

    void dropUndone(@Param("job") long job, @Param("account") long account);

    List<CommandRow> newestCommands(@Param("job") long job, @Param("count") int count);
}
