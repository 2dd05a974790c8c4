package app.jerboa.server.preset;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface StillMapper {
    /**
     * @param taken milliseconds of 1970: another picture has another number
     */
    record Kept(long device, int number, long taken) {}

    List<Kept> kept(@Param("job") long job);

    Optional<byte[]> picture(
            @Param("job") long job, @Param("device") long device, @Param("number") int number);

    void keep(
            @Param("job") long job,
            @Param("device") long device,
            @Param("number") int number,
            @Param("jpeg") byte[] jpeg);

    void drop(@Param("job") long job, @Param("device") long device, @Param("number") int number);
}
