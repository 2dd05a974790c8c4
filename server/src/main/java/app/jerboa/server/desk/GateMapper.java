package app.jerboa.server.desk;

import app.jerboa.core.job.Steering;
import java.util.Collection;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Who said that a head's place is clear, and which cameras are on air. */
@Mapper
interface GateMapper {
    /**
     * A camera with something said of it, or somebody at it; blank for nobody.
     *
     * @param tally as its switcher says: on, off or not-known; blank where people say it
     * @param link of whoever drives it: unknown, up, slow or lost; blank for nobody
     */
    record Said(
            long device, boolean clear, boolean onAir, String heldBy, String link, String tally) {}

    /** What people say of a camera. */
    record Row(long job, long device, boolean clear, boolean onAir) {
        CameraId id() {
            return new CameraId(job, device);
        }

        Gate gate(Steering steering) {
            return new Gate(clear, onAir, steering.limits(), Turned.of(steering));
        }
    }

    /** One row for each of them. */
    default List<Row> gates(Collection<CameraId> at, int minutes) {
        return gates(
                at.stream().map(CameraId::job).toArray(Long[]::new),
                at.stream().map(CameraId::device).toArray(Long[]::new),
                minutes);
    }

    /** The arrays are equally long. */
    List<Row> gates(
            @Param("jobs") Long[] jobs,
            @Param("devices") Long[] devices,
            @Param("minutes") int minutes);

    /** Of the whole job; a camera of which nothing is said is left out. */
    List<Said> said(@Param("job") long job, @Param("minutes") int minutes);

    void sayClear(
            @Param("job") long job, @Param("devices") List<Long> devices, @Param("by") String by);

    void takeClearBack(@Param("job") long job, @Param("devices") List<Long> devices);

    /** It is driven: what was said goes on to hold, unless it had ended. */
    void stillClear(@Param("at") CameraId at, @Param("minutes") int minutes);

    void onAir(@Param("at") CameraId at, @Param("by") String by);

    void offAir(@Param("at") CameraId at);

    /** What is on air is read from a switcher. */
    boolean isRead(@Param("job") long job);
}
