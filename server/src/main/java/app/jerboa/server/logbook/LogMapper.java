package app.jerboa.server.logbook;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface LogMapper {
    /**
     * @param account 0 for what Jerboa did by itself
     * @param photo null for none
     */
    void insert(
            @Param("job") long job,
            @Param("account") long account,
            @Param("person") String person,
            @Param("kind") String kind,
            @Param("text") String text,
            @Param("devices") List<Long> devices,
            @Param("photo") Long photo);

    void insertFromFile(@Param("job") long job, @Param("entries") String entries);

    /** 1 when it is new, 0 when this person used it before. */
    int claimKey(@Param("account") long account, @Param("key") String key);

    void forgetKeys();

    Optional<LogRow> newest(@Param("job") long job);

    List<LogRow> page(@Param("job") long job, @Param("f") LogFilter filter);

    List<String> people(@Param("job") long job);

    List<LogRow> forFile(@Param("job") long job);

    long insertPhoto(@Param("job") long job, @Param("jpeg") byte[] jpeg);

    Optional<PhotoRow> photo(@Param("job") long job, @Param("photo") long photo);
}
