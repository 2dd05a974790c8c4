package app.jerboa.server.change;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** The commands of all jobs, each with all that its inverse needs. */
@Mapper
interface CommandMapper {
    /** What this person had taken back cannot be done again after it. */
    long insertCommand(
            @Param("job") long job,
            @Param("account") long account,
            @Param("person") String person,
            @Param("label") String label,
            @Param("changes") String changes);

    Optional<CommandRow> newestDone(@Param("job") long job, @Param("account") long account);

    /**
     * The change that this person took back last and that nothing newer of theirs has overtaken.
     */
    Optional<CommandRow> oldestUndone(@Param("job") long job, @Param("account") long account);

    /**
     * Who last changed something after this command.
     *
     * @param part the JSON that their command must contain
     */
    Optional<String> overtaking(
            @Param("job") long job, @Param("command") long command, @Param("part") String part);

    void setCommandState(@Param("command") long command, @Param("state") String state);
}
