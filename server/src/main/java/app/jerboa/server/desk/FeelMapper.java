package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface FeelMapper {
    /** A feel of a person, for one kind of camera. */
    record Row(
            String profile,
            double deadZone,
            double k,
            double rampSeconds,
            double pan,
            double tilt,
            double zoom,
            double focus,
            double recall,
            double crossingSeconds) {
        Feel feel() {
            return new Feel(
                    deadZone,
                    k,
                    rampSeconds,
                    new Feel.Speeds(pan, tilt, zoom, focus, recall),
                    crossingSeconds);
        }
    }

    List<Row> all(@Param("account") long account);

    Optional<Row> find(@Param("account") long account, @Param("profile") String profile);

    void put(
            @Param("account") long account,
            @Param("profile") String profile,
            @Param("feel") Feel feel);

    void drop(@Param("account") long account, @Param("profile") String profile);
}
