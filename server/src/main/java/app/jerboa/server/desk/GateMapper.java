package app.jerboa.server.desk;

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

    /** As stored; null for no limit. */
    record Row(
            long job,
            long device,
            boolean clear,
            boolean onAir,
            Double panLeft,
            Double panRight,
            Double tiltDown,
            Double tiltUp,
            boolean panTurned,
            boolean tiltTurned) {
        CameraId id() {
            return new CameraId(job, device);
        }

        Gate gate() {
            return new Gate(
                    clear,
                    onAir,
                    LimitsWish.limits(panLeft, panRight, tiltDown, tiltUp),
                    new Turned(panTurned, tiltTurned));
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

    /** Heads that a stick turns the other way. */
    record SetTurned(long device, boolean pan, boolean tilt) {}

    List<SetTurned> turned(@Param("job") long job);

    void setTurned(
            @Param("at") CameraId at,
            @Param("pan") boolean pan,
            @Param("tilt") boolean tilt,
            @Param("by") String by);

    /** What is set in the whole job. */
    List<SetLimits> limits(@Param("job") long job);

    /** Null for no limit. */
    record SetLimits(
            long device, Double panLeft, Double panRight, Double tiltDown, Double tiltUp) {}

    void setLimits(
            @Param("at") CameraId at,
            @Param("panLeft") Double panLeft,
            @Param("panRight") Double panRight,
            @Param("tiltDown") Double tiltDown,
            @Param("tiltUp") Double tiltUp,
            @Param("by") String by);

    void dropLimits(@Param("at") CameraId at);

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
