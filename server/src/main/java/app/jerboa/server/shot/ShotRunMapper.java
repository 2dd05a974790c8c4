package app.jerboa.server.shot;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface ShotRunMapper {
    Optional<ShotRunRow> row(@Param("job") long job);

    /** Nothing is on air yet. */
    void begin(@Param("job") long job, @Param("list") long list, @Param("next") Long next);

    /** 0 when another take was up next meanwhile. */
    int cut(
            @Param("job") long job,
            @Param("expected") long expected,
            @Param("at") long at,
            @Param("next") Long next);

    /** 0 when another take was up next meanwhile. */
    int upNext(@Param("job") long job, @Param("expected") Long expected, @Param("next") Long next);

    /** The take on air begins anew. 0 when none is. */
    int again(@Param("job") long job);

    void here(@Param("job") long job);
}
