package app.jerboa.server.live;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface LiveMapper {
    /** Told when the transaction commits, and not at all when it does not. */
    String tell(@Param("payload") String payload);

    /** 1 when this tab was here already, on this page. */
    int stillHere(
            @Param("job") long job,
            @Param("tab") String tab,
            @Param("account") long account,
            @Param("page") String page,
            @Param("seconds") int seconds);

    int here(
            @Param("job") long job,
            @Param("tab") String tab,
            @Param("account") long account,
            @Param("person") String person,
            @Param("page") String page);

    int gone(@Param("job") long job, @Param("tab") String tab, @Param("account") long account);

    /** The jobs that somebody silently left. */
    List<Long> forgetSilent(@Param("seconds") int seconds);

    List<PresentBody> present(@Param("job") long job, @Param("seconds") int seconds);
}
