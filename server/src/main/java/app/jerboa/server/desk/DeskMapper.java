package app.jerboa.server.desk;

import app.jerboa.core.value.Kebab;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface DeskMapper {
    /**
     * A lease that a desk of this server holds.
     *
     * @param link how its link stands: unknown, up, slow or lost
     */
    record Lease(long job, long device, String holder, String link) {
        static Lease of(CameraLink camera) {
            String link = Kebab.of(camera.link().health().seen().state());
            return new Lease(camera.id().job(), camera.device(), camera.holder(), link);
        }
    }

    /**
     * A lease that goes on.
     *
     * @param stops how often all was stopped in its job
     * @param askedBy who wants it; null for nobody
     * @param askedSeconds that its driver still has to keep it; null for nobody
     */
    record Renewed(long job, String holder, long stops, String askedBy, Integer askedSeconds) {}

    /** 1 when the lease is this holder's now: it was free, expired, or theirs. */
    int takeLease(
            @Param("at") CameraId at,
            @Param("server") String server,
            @Param("holder") String holder,
            @Param("person") String person,
            @Param("seconds") int seconds);

    /** Those that had not expired; the others are lost. */
    default List<Renewed> renew(String server, List<Lease> held, int seconds, int patience) {
        return renew(
                server,
                held.stream().map(Lease::job).toArray(Long[]::new),
                held.stream().map(Lease::device).toArray(Long[]::new),
                held.stream().map(Lease::holder).toArray(String[]::new),
                held.stream().map(Lease::link).toArray(String[]::new),
                seconds,
                patience);
    }

    /** The arrays are equally long. */
    List<Renewed> renew(
            @Param("server") String server,
            @Param("jobs") Long[] jobs,
            @Param("devices") Long[] devices,
            @Param("holders") String[] holders,
            @Param("links") String[] links,
            @Param("seconds") int seconds,
            @Param("patience") int patience);

    /** How a wish for a driven camera stands: who drives it, and whether it is this desk's turn. */
    record Asking(String driver, boolean asking) {}

    /**
     * @param waited seconds that count as waited already
     * @return 0 when it is free, or somebody else asks just now
     */
    int ask(
            @Param("at") CameraId at,
            @Param("by") String by,
            @Param("desk") String desk,
            @Param("waited") int waited,
            @Param("patience") int patience);

    /** Whoever asked wants nothing any more. */
    void withdraw(@Param("desk") String desk);

    /** Its driver keeps it. */
    void keep(@Param("at") CameraId at, @Param("holder") String holder);

    /** Empty when nobody drives it. */
    Optional<Asking> asksFor(@Param("at") CameraId at, @Param("desk") String desk);

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
