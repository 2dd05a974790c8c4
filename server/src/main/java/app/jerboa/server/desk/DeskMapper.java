package app.jerboa.server.desk;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface DeskMapper {
    record MovingRow(long deviceId, long jobId) {}

    /** 1 when the lease is this holder's now: it was free, expired, or theirs. */
    int takeLease(
            @Param("device") long device,
            @Param("holder") String holder,
            @Param("person") String person,
            @Param("seconds") int seconds);

    Optional<String> leaseHolder(@Param("device") long device);

    void releaseLease(@Param("device") long device, @Param("holder") String holder);

    /**
     * The next commit need not reach the disk before it returns: it survives a killed server, not a
     * power cut.
     */
    void commitWithoutWaiting();

    void markMoving(@Param("device") long device, @Param("job") long job);

    void unmarkMoving(@Param("device") long device);

    List<MovingRow> moving();

    List<MovingRow> movingIn(@Param("job") long job);
}
