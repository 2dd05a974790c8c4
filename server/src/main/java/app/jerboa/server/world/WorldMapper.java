package app.jerboa.server.world;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface WorldMapper {
    Optional<String> of(@Param("job") long job);

    /** Blank for none, and empty while the job is worked in another world. */
    Optional<String> serialPort(@Param("job") long job, @Param("world") String world);

    void chooseSerialPort(@Param("job") long job, @Param("path") String path);

    void choose(@Param("job") long job, @Param("world") String world);
}
