package app.jerboa.server.people;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface AccountMapper {
    Optional<AccountRow> byLogin(@Param("login") String login);

    boolean none();

    /** 1 when it was added, 0 when the login is in use. */
    int insert(
            @Param("login") String login,
            @Param("name") String name,
            @Param("passwordHash") String passwordHash);

    /** Adds an account or gives it this name and password. */
    void upsert(
            @Param("login") String login,
            @Param("name") String name,
            @Param("passwordHash") String passwordHash);

    void setPassword(@Param("account") long account, @Param("passwordHash") String passwordHash);

    void lockAccounts();

    /** Its number, by which it can be taken back. */
    long noteTry(@Param("login") String login, @Param("origin") String origin);

    void takeBackTry(@Param("id") long id);

    /** 1 when somebody has signed in as this login with this browser before. */
    int knownBrowser(@Param("login") String login, @Param("secretHash") String secretHash);

    void rememberBrowser(@Param("login") String login, @Param("secretHash") String secretHash);

    void forgetFailures(@Param("login") String login, @Param("origin") String origin);

    /**
     * @param login of this name only; empty for any
     * @param origin from this place only; empty for any
     * @param most failures within so many seconds before it has to wait
     */
    int secondsToWait(
            @Param("login") String login,
            @Param("origin") String origin,
            @Param("most") int most,
            @Param("within") int within);
}
