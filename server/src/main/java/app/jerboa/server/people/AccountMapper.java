package app.jerboa.server.people;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface AccountMapper {
    Optional<AccountRow> byLogin(@Param("login") String login);

    boolean none();

    /** Adds an account only while there is none; 1 when it did. */
    int insertFirst(
            @Param("login") String login,
            @Param("name") String name,
            @Param("passwordHash") String passwordHash);

    /** Adds an account or gives it this name and password. */
    void upsert(
            @Param("login") String login,
            @Param("name") String name,
            @Param("passwordHash") String passwordHash);

    boolean member(@Param("job") long job, @Param("account") long account);

    void lockAccounts();
}
