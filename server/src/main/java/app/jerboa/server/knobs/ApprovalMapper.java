package app.jerboa.server.knobs;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface ApprovalMapper {
    /** Exactly this was approved for devices of this profile. */
    boolean approved(
            @Param("job") long job,
            @Param("profile") String profile,
            @Param("what") String what,
            @Param("sent") String sent);

    void approve(
            @Param("job") long job,
            @Param("profile") String profile,
            @Param("what") String what,
            @Param("sent") String sent,
            @Param("by") long by);
}
