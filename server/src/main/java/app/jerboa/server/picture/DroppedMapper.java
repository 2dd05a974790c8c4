package app.jerboa.server.picture;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface DroppedMapper {
    /**
     * @param by who gave it
     * @param at milliseconds of 1970
     */
    record DroppedPicture(long device, String by, long at) {}

    List<DroppedPicture> all(@Param("job") long job);

    Optional<byte[]> picture(@Param("job") long job, @Param("device") long device);

    void keep(
            @Param("job") long job,
            @Param("device") long device,
            @Param("jpeg") byte[] jpeg,
            @Param("by") String by);

    void drop(@Param("job") long job, @Param("device") long device);
}
