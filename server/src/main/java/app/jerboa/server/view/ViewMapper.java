package app.jerboa.server.view;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** What one person sees beside the job itself. */
@Mapper
interface ViewMapper {
    Optional<BesideRow> beside(@Param("job") long job, @Param("account") long account);
}
