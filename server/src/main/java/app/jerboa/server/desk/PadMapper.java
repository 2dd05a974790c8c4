package app.jerboa.server.desk;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface PadMapper {
    /** The map as JSON. */
    Optional<String> find(@Param("account") long account, @Param("pad") String pad);

    void put(@Param("account") long account, @Param("pad") String pad, @Param("map") String map);
}
