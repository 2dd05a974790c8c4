package app.jerboa.server.knobs;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface PinMapper {
    Optional<String> find(@Param("job") long job, @Param("device") long device);

    /** The first one stays. */
    void pin(@Param("job") long job, @Param("device") long device, @Param("sha256") String sha256);

    int forget(@Param("job") long job, @Param("device") long device);
}
