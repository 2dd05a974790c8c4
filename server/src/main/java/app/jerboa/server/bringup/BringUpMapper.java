package app.jerboa.server.bringup;

import app.jerboa.server.bringup.BringUpRows.RunRow;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface BringUpMapper {
    Optional<RunRow> open(@Param("job") long job);

    List<StepRow> steps(@Param("run") long run);

    long insertRun(
            @Param("job") long job, @Param("method") String method, @Param("person") String person);

    void insertStep(@Param("run") long run, @Param("it") StepRow step);

    int finish(
            @Param("run") long run,
            @Param("number") int number,
            @Param("evidence") String evidence,
            @Param("saw") String saw,
            @Param("bootOverAt") OffsetDateTime bootOverAt);

    void close(@Param("job") long job);
}
