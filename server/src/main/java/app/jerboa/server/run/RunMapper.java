package app.jerboa.server.run;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface RunMapper {
    Optional<RunRow> run(@Param("job") long job, @Param("kind") String kind);

    /** 0 when another one of its kind is under way. */
    int begin(
            @Param("job") long job,
            @Param("kind") String kind,
            @Param("server") String server,
            @Param("person") String person,
            @Param("tasks") String tasks);

    void doing(
            @Param("job") long job,
            @Param("kind") String kind,
            @Param("done") int done,
            @Param("doing") String doing);

    void result(@Param("job") long job, @Param("kind") String kind, @Param("result") String result);

    /** A sign of life of all runs of this server. */
    void beat(@Param("server") String server);

    void end(
            @Param("job") long job,
            @Param("kind") String kind,
            @Param("state") String state,
            @Param("why") String why);

    /** Runs of a server of this name that was killed. */
    void endOf(@Param("server") String server, @Param("why") String why);

    void cancel(@Param("job") long job, @Param("kind") String kind);

    /** Those of this server that somebody cancelled. */
    List<RunKey> cancelled(@Param("server") String server);
}
