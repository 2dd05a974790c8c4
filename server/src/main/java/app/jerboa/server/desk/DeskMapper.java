package app.jerboa.server.desk;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface DeskMapper {
    /** 1 when the lease is this holder's now: it was free, expired, or theirs. */
    int takeLease(
            @Param("at") CameraId at,
            @Param("server") String server,
            @Param("holder") String holder,
            @Param("person") String person,
            @Param("seconds") int seconds);

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

    /** What is marked as moving and driven by nobody on any server. */
    List<CameraId> abandoned();

    List<CameraId> movingIn(@Param("job") long job);
}
