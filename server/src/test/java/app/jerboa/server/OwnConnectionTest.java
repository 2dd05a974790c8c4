package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.server.platform.OwnConnection;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.exceptions.PersistenceException;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The connection that leases are renewed over, while requests hold all others. */
class OwnConnectionTest extends RunningServer {
    /** Written and asked by hand. */
    interface Hand {
        @Select(
                value = "insert into job_stop (job_id, stops) values (#{job}, 7) returning stops",
                affectData = true)
        long write(long job);

        @Select("select pg_backend_pid()")
        int process();

        @Select("select 1 / 0")
        int fails();
    }

    @Autowired private OwnConnection own;
    @Autowired private DataSource shared;
    @Autowired private SqlSessionFactory sessions;

    @BeforeEach
    void known() {
        if (!sessions.getConfiguration().hasMapper(Hand.class)) {
            sessions.getConfiguration().addMapper(Hand.class);
        }
    }

    @Test
    void whatIsWrittenIsStoredThoughAllOtherConnectionsAreHeld() throws SQLException {
        long job =
                new Client()
                        .signIn()
                        .send("POST", "/api/jobs/demo", Map.of())
                        .json()
                        .get("id")
                        .asLong();
        List<Connection> held = new ArrayList<>();
        try {
            for (int i = 0; i < 12; i++) {
                held.add(shared.getConnection());
            }
            long written = own.with(Hand.class, h -> h.write(job));
            assertThat(written).isEqualTo(7);
            try (var statement = held.get(0).createStatement();
                    var rows =
                            statement.executeQuery(
                                    "select stops from job_stop where job_id = " + job)) {
                assertThat(rows.next()).isTrue();
                assertThat(rows.getLong(1)).isEqualTo(7);
            }
        } finally {
            for (Connection connection : held) {
                connection.close();
            }
        }
    }

    @Test
    void itIsTheSameOneEachTimeAndAFailureLosesNone() {
        int process = own.with(Hand.class, Hand::process);
        for (int i = 0; i < 3; i++) {
            assertThatThrownBy(() -> own.with(Hand.class, Hand::fails))
                    .isInstanceOf(PersistenceException.class);
            int next = own.with(Hand.class, Hand::process);
            assertThat(next).isEqualTo(process);
        }
    }
}
