package app.jerboa.server.tally;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface TallyMapper {
    /** The switcher of a job; empty where people say what is on air. */
    Optional<Long> source(@Param("job") long job);

    /** A job and its switcher. */
    record Source(long job, long switcher) {}

    List<Source> sources(@Param("jobs") Collection<Long> jobs);

    void read(@Param("job") long job, @Param("switcher") long switcher, @Param("by") String by);

    void byHand(@Param("job") long job);

    /** What is known of these cameras ends, and of no others anything was known. */
    void forget(@Param("job") long job);

    /** Each of these may be on air, as long as nobody says otherwise. */
    void unknown(@Param("job") long job, @Param("devices") List<Long> devices);

    /**
     * The switcher said so now, of these and of no others; nothing when it is no longer read.
     *
     * @param onAir of each of the devices
     */
    void heard(
            @Param("job") long job,
            @Param("switcher") long switcher,
            @Param("devices") Long[] devices,
            @Param("onAir") Boolean[] onAir);
}
