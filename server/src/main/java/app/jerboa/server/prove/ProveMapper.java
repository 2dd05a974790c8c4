package app.jerboa.server.prove;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface ProveMapper {
    Optional<RunRow> run(@Param("job") long job);

    /** 0 when another one is under way. */
    int begin(
            @Param("job") long job,
            @Param("server") String server,
            @Param("person") String person,
            @Param("tests") String tests);

    void doing(@Param("job") long job, @Param("done") int done, @Param("doing") String doing);

    /** A sign of life of all runs of this server. */
    void beat(@Param("server") String server);

    void end(@Param("job") long job, @Param("state") String state, @Param("why") String why);

    /** Runs of a server of this name that was killed. */
    void endOf(@Param("server") String server, @Param("why") String why);

    void cancel(@Param("job") long job);

    /** Those of this server that somebody cancelled. */
    List<Long> cancelled(@Param("server") String server);

    void note(
            @Param("job") long job,
            @Param("device") long device,
            @Param("what") String what,
            @Param("value") String value,
            @Param("server") String server,
            @Param("login") String login,
            @Param("stops") long stops);

    void forget(@Param("job") long job, @Param("device") long device, @Param("what") String what);

    List<PutBackRow> left(@Param("job") long job);

    /** What a server of this name left when it was killed; lately only. */
    List<PutBackRow> leftBy(@Param("server") String server, @Param("seconds") int seconds);
}
