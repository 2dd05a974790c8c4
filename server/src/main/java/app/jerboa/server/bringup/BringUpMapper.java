package app.jerboa.server.bringup;

import app.jerboa.server.bringup.BringUpRows.BringUpRow;
import app.jerboa.server.bringup.BringUpRows.Done;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.bringup.BringUpRows.TakenRow;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface BringUpMapper {
    Optional<BringUpRow> open(@Param("job") long job);

    /** Jobs whose open bring-up somebody looks at and this server watches, from now on at least. */
    List<Long> watched(@Param("server") String server);

    List<StepRow> steps(@Param("run") long run);

    /** The first step that is not done. */
    Optional<StepRow> current(@Param("run") long run);

    /** The newest times that steps of this job took, whichever bring-up they belong to. */
    List<TakenRow> taken(@Param("job") long job);

    long insertRun(
            @Param("job") long job,
            @Param("method") String method,
            @Param("workshop") boolean workshop,
            @Param("person") String person,
            @Param("worldNow") OffsetDateTime worldNow);

    /** Never an empty list. */
    void insertSteps(@Param("run") long run, @Param("steps") List<StepRow> steps);

    int finish(@Param("run") long run, @Param("it") Done done);

    void dropUndone(@Param("run") long run);

    void putAside(@Param("run") long run, @Param("device") long device);

    void clearAside(@Param("run") long run);

    void close(@Param("job") long job);
}
