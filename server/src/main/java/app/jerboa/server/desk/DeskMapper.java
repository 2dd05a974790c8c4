package app.jerboa.server.desk;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface DeskMapper {
    /** A lease that a desk of this server holds. */
    record Lease(long job, long device, String holder) {
        static Lease of(CameraLink camera) {
            return new Lease(camera.id().job(), camera.device(), camera.holder());
        }
    }

    /**
     * A lease that goes on.
     *
     * @param stops how often all was stopped in its job
     * @param clear its place is said to be clear; {@code onAir} its picture goes out
     */
    record Renewed(long job, String holder, long stops, boolean clear, boolean onAir) {
        boolean is(CameraLink camera) {
            return holder.equals(camera.holder());
        }
    }

    /** 1 when the lease is this holder's now: it was free, expired, or theirs. */
    int takeLease(
            @Param("at") CameraId at,
            @Param("server") String server,
            @Param("holder") String holder,
            @Param("person") String person,
            @Param("seconds") int seconds);

    /** Those that had not expired; the others are lost. */
    List<Renewed> renew(
            @Param("server") String server,
            @Param("held") List<Lease> held,
            @Param("seconds") int seconds,
            @Param("minutes") int minutes);

    Optional<String> leaseHolder(@Param("at") CameraId at);

    void releaseLease(@Param("at") CameraId at, @Param("holder") String holder);

    /** What a server of this name held before it was killed. */
    void dropLeasesOf(@Param("server") String server);

    /**
     * The next commit need not reach the disk before it returns: it survives a killed server, not a
     * power cut.
     */
    void commitWithoutWaiting();

    void markMoving(@Param("at") CameraId at);

    void unmarkMoving(@Param("at") CameraId at);

    /** Only when nobody on any server drives it. */
    void unmarkUnlessLeased(@Param("at") CameraId at);

    /** What is marked as moving and driven by nobody on any server. */
    List<CameraId> abandoned();

    List<CameraId> movingIn(@Param("job") long job);

    /** How often all was stopped in this job, 0 for never. */
    long stops(@Param("job") long job);

    /** Counts one more; the new count. */
    long raiseStops(@Param("job") long job);
}
