package app.jerboa.server.prove;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface ProveMapper {
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
