package app.jerboa.server.job;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface ObservationMapper {
    /** In the order of their numbers; without words and photos. */
    List<ObservationRow> since(@Param("job") long job, @Param("number") long number);

    /**
     * Newest first.
     *
     * @param before null for from the newest
     * @param line null for any
     * @param device null for any
     * @param topic null for any
     */
    List<ObservationRow> page(
            @Param("job") long job,
            @Param("before") Long before,
            @Param("line") Long line,
            @Param("device") Long device,
            @Param("topic") String topic,
            @Param("most") int most);

    /** The highest number then. */
    long raise(@Param("job") long job, @Param("by") int by);

    /** Never an empty list. */
    void insert(@Param("job") long job, @Param("rows") List<ObservationRow> rows);
}
