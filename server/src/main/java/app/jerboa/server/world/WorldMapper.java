package app.jerboa.server.world;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface WorldMapper {
    Optional<String> of(@Param("job") long job);

    /** Empty for none. */
    String serialPort(@Param("job") long job);

    void chooseSerialPort(@Param("job") long job, @Param("path") String path);

    void choose(@Param("job") long job, @Param("world") String world);
}
