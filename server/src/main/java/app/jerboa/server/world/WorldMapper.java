package app.jerboa.server.world;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface WorldMapper {
    Optional<String> of(@Param("job") long job);

    void choose(@Param("job") long job, @Param("world") String world);
}
