package app.jerboa.server.live;

import app.jerboa.server.platform.Threads;
import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Properties;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Listens on a connection of its own, outside the pool, and hands each notice on as an application
 * event. Connects again by itself; what was told meanwhile is lost, so {@link Reconnected} tells
 * everybody to look anew.
 */
@Component
class NoticeListener {
    /** Notices may have been missed. */
    record Reconnected() {}

    private static final Logger LOG = LoggerFactory.getLogger(NoticeListener.class);
    private static final int PATIENCE_MILLIS = 500;
    private static final int ROUNDS_BETWEEN_QUESTIONS = 4;

    /** After so many seconds without an answer the line counts as cut. */
    private static final String SILENCE_SECONDS = "5";

    private final DataSourceProperties database;
    private final ApplicationEventPublisher events;
    private final JsonMapper json;
    private final Thread thread = new Thread(this::listen, "notices");
    private volatile boolean stopping;

    NoticeListener(
            DataSourceProperties database, ApplicationEventPublisher events, JsonMapper json) {
        this.database = database;
        this.events = events;
        this.json = json;
        thread.setDaemon(true);
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (!thread.isAlive()) {
            thread.start();
        }
    }

    @PreDestroy
    void stop() {
        stopping = true;
    }

    /**
     * Without this thread no page hears of anything, nor a head of a stop elsewhere: it goes on.
     */
    private void listen() {
        while (!stopping) {
            Threads.guarded("hearing of changes", this::listenOnce);
            pause();
        }
    }

    private void listenOnce() {
        try (Connection connection =
                        DriverManager.getConnection(database.determineUrl(), properties());
                Statement statement = connection.createStatement()) {
            statement.execute("listen jerboa");
            events.publishEvent(new Reconnected());
            read(connection.unwrap(PGConnection.class), statement);
        } catch (SQLException e) {
            LOG.info("the database does not tell of changes just now: {}", e.getMessage());
        }
    }

    private Properties properties() {
        Properties properties = new Properties();
        properties.setProperty("user", database.determineUsername());
        properties.setProperty("password", database.determinePassword());
        properties.setProperty("ApplicationName", "jerboa notices");
        properties.setProperty("connectTimeout", SILENCE_SECONDS);
        properties.setProperty("socketTimeout", SILENCE_SECONDS);
        properties.setProperty("tcpKeepAlive", "true");
        return properties;
    }

    /** A line that is cut without a word looks like a quiet one: it is asked every few seconds. */
    private void read(PGConnection connection, Statement statement) throws SQLException {
        for (long round = 0; !stopping; round++) {
            if (round % ROUNDS_BETWEEN_QUESTIONS == 0) {
                statement.execute("select 1");
            }
            PGNotification[] told = connection.getNotifications(PATIENCE_MILLIS);
            for (PGNotification n : told == null ? new PGNotification[0] : told) {
                handOn(n.getParameter());
            }
        }
    }

    private void handOn(String payload) {
        try {
            Notice notice = json.readValue(payload, Notice.class);
            Threads.guarded("handing on a notice", () -> events.publishEvent(notice));
        } catch (JacksonException e) {
            LOG.warn("a notice was not understood: {}", e.getOriginalMessage());
        }
    }

    private static void pause() {
        try {
            Thread.sleep(PATIENCE_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
