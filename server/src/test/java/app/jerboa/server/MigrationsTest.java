package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.junit.jupiter.api.Test;

/** What was stored before a table changed is carried over. */
class MigrationsTest extends RunningServer {
    private static final String OLD =
            """
            insert into job (version) values (5);
            insert into item (job_id, id, kind, texts) values
              (1, 1, 'device', '{"name":"L1","profile":"p","address":"10.44.8.21","prefix":"24","found":"10.44.8.21"}'),
              (1, 2, 'device', '{"name":"L2","profile":"p","address":"10.44.8.22","mac":"02:4a:00:00:00:02","found":"10.44.8.99"}'),
              (1, 3, 'device', '{"name":"L3","profile":"p","address":"10.44.8.23","found":""}'),
              (1, 4, 'line', '{"number":"1","camera":"1"}');
            insert into bring_up (job_id, method, person) values (1, 'hop', 'Asha Lindqvist');
            insert into bring_up_step (bring_up_id, number, kind, device_id, laptop, done_at, evidence, saw) values
              (1, 1, 'verify', 1, '', now(), 'asked', 'L1 answers'),
              (1, 2, 'verify', 3, '', null, '', '');
            insert into command (job_id, person, label, changes) values
              (1, 'Asha', 'x', '{"adds":[],"edits":[],"removes":[{"item":"device","id":9,"values":{"name":"L9","found":"10.44.8.29"}}]}');
            """;

    private static final String DESKS =
            """
            insert into job (version) values (5);
            insert into item (job_id, id, kind, texts) values
              (1, 1, 'device', '{"name":"L1"}'), (1, 2, 'device', '{"name":"L2"}'), (1, 3, 'device', '{"name":"L3"}');
            insert into desk_limit (job_id, device_id, pan_left, pan_right, tilt_down, tilt_up, set_by) values
              (1, 1, -30.5, 40.0149, null, null, 'Asha'), (1, 2, null, null, null, 12.5, 'Asha');
            insert into desk_turned (job_id, device_id, pan, tilt, set_by) values
              (1, 1, true, false, 'Asha'), (1, 2, false, false, 'Asha');
            """;

    @Test
    void whereDevicesWereFoundBecomesObservations() throws SQLException {
        try (Connection db = connection()) {
            upTo(db, "before_observations", "9");
            db.createStatement().execute(OLD);
            flyway("before_observations").load().migrate();
            assertThat(
                            rows(
                                    db,
                                    "select number, device_id, line_id, value, evidence, outcome, person, detail,"
                                            + " basis->>'address', basis->>'prefix' from observation order by device_id"))
                    .containsExactlyInAnyOrder(
                            "1|1|4|10.44.8.21|asked|ok|Asha Lindqvist|L1 answers|10.44.8.21|24",
                            "2|2|null|10.44.8.99|told|differs|||10.44.8.22|24");
            assertThat(rows(db, "select observed, version from job")).containsExactly("2|5");
            assertThat(rows(db, "select 1 from item where texts ? 'found'")).isEmpty();
            assertThat(rows(db, "select changes->'removes'->0->'values' from command"))
                    .containsExactly("{\"name\": \"L9\"}");
        }
    }

    @Test
    void howDesksSteerBecomesPartOfTheJob() throws SQLException {
        try (Connection db = connection()) {
            upTo(db, "before_steering", "21");
            db.createStatement().execute(DESKS);
            flyway("before_steering").load().migrate();
            assertThat(rows(db, "select texts - 'name' from item order by id"))
                    .containsExactly(
                            "{\"panRound\": \"true\", \"softLeft\": \"-3050\", \"softRight\": \"4001\", \"tiltRound\": \"false\"}",
                            "{\"softUp\": \"1250\"}",
                            "{}");
        }
    }

    private static void upTo(Connection db, String schema, String version) throws SQLException {
        db.createStatement().execute("create schema " + schema);
        db.setSchema(schema);
        flyway(schema).target(MigrationVersion.fromVersion(version)).load().migrate();
    }

    private static Connection connection() throws SQLException {
        return DriverManager.getConnection(databaseUrl(), "jerboa", databasePassword());
    }

    private static org.flywaydb.core.api.configuration.FluentConfiguration flyway(String schema) {
        return Flyway.configure()
                .dataSource(databaseUrl(), "jerboa", databasePassword())
                .schemas(schema);
    }

    private static List<String> rows(Connection db, String sql) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (var result = db.createStatement().executeQuery(sql.replace(" ? ", " ?? "))) {
            int columns = result.getMetaData().getColumnCount();
            while (result.next()) {
                List<String> row = new ArrayList<>();
                for (int i = 1; i <= columns; i++) {
                    row.add(String.valueOf(result.getString(i)));
                }
                rows.add(String.join("|", row));
            }
        }
        return rows;
    }
}
