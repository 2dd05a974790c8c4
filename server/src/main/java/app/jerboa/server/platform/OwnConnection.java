package app.jerboa.server.platform;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import jakarta.annotation.PreDestroy;
import java.util.function.Function;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSession;
import org.apache.ibatis.session.SqlSessionFactory;
import org.apache.ibatis.session.defaults.DefaultSqlSession;
import org.apache.ibatis.transaction.jdbc.JdbcTransaction;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.stereotype.Component;

/**
 * A connection to the database beside those that requests share: what must be written each second
 * does not wait behind pages that hold all the others. For one caller at a time; each statement is
 * stored by itself.
 */
@Component
public class OwnConnection {
    private static final long PATIENCE_MILLIS = 2_000;
    private static final String SILENCE_SECONDS = "3";

    private final Configuration mappers;
    private final HikariDataSource own;

    OwnConnection(DataSourceProperties database, SqlSessionFactory sessions) {
        this.mappers = sessions.getConfiguration();
        this.own = new HikariDataSource(one(database));
    }

    /** Opened when it is first asked for, and again after a cut. */
    private static HikariConfig one(DataSourceProperties database) {
        HikariConfig one = new HikariConfig();
        one.setPoolName("own");
        one.setJdbcUrl(database.determineUrl());
        one.setUsername(database.determineUsername());
        one.setPassword(database.determinePassword());
        one.setMaximumPoolSize(1);
        one.setMinimumIdle(0);
        one.setInitializationFailTimeout(-1);
        one.setConnectionTimeout(PATIENCE_MILLIS);
        one.addDataSourceProperty("connectTimeout", SILENCE_SECONDS);
        one.addDataSourceProperty("socketTimeout", SILENCE_SECONDS);
        one.addDataSourceProperty("tcpKeepAlive", "true");
        return one;
    }

    /**
     * @throws org.apache.ibatis.exceptions.PersistenceException when the database cannot be
     *     reached, or does not do what it is told
     */
    public <M, R> R with(Class<M> mapper, Function<M, R> work) {
        Executor executor =
                mappers.newExecutor(
                        new JdbcTransaction(own, null, true), mappers.getDefaultExecutorType());
        try (SqlSession session = new DefaultSqlSession(mappers, executor, true)) {
            return work.apply(session.getMapper(mapper));
        }
    }

    @PreDestroy
    void close() {
        own.close();
    }
}
