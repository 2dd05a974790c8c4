package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.sql.DriverManager;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** What others do arrives by itself: changes, who is here. */
class LiveTest extends RunningServer {
    @Test
    void changesAndPresenceArriveAtWhoeverWatches() throws IOException, InterruptedException {
        Client asha = new Client().signIn();
        String job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        Client tomas = member(asha, job, "tomas", "technician");
        BlockingQueue<String> heard = new LinkedBlockingQueue<>();
        Thread ears = new Thread(() -> asha.listen(job + "/events?tab=tab-asha-1", heard::add));
        ears.setDaemon(true);
        ears.start();
        assertThat(until(heard, "event:hello")).isTrue();
        tomas.send(
                "POST", job + "/changes", edit("device", 7, "address", "10.44.8.21", "10.44.8.41"));
        assertThat(until(heard, "\"version\":2")).isTrue();
        assertThat(
                        tomas.send(
                                        "POST",
                                        job + "/presence",
                                        Map.of("tab", "tab-tomas-1", "page", "Addresses"))
                                .json()
                                .toString())
                .contains("Tomas Okoro", "Addresses");
        assertThat(until(heard, "\"page\":\"Addresses\"")).isTrue();
        assertThat(
                        tomas.send(
                                        "POST",
                                        job + "/presence",
                                        Map.of("tab", "x", "page", "Addresses"))
                                .code())
                .isEqualTo("bad-value");
        assertThat(List.of(new Client().get(job + "/events?tab=tab-stranger").status()))
                .containsExactly(401);
    }

    @Test
    void aStreamEndsWithItsSessionAndWithMembership() throws InterruptedException {
        Client lead = new Client().signIn();
        String job =
                "/api/jobs/"
                        + lead.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        Client tomas = member(lead, job, "tomas", "viewer");
        Client mei = member(lead, job, "mei", "viewer");
        BlockingQueue<String> tomasHears = listening(tomas, job, "tab-tomas-9");
        BlockingQueue<String> meiHears = listening(mei, job, "tab-mei-9");
        tomas.send("DELETE", "/auth/sessions", Map.of());
        assertThat(until(tomasHears, "ended")).isTrue();
        for (var member : lead.get(job + "/people").json().get("members")) {
            if (member.get("login").asString().equals("mei")) {
                lead.send("DELETE", job + "/people/" + member.get("id").asLong(), Map.of());
            }
        }
        assertThat(until(meiHears, "ended")).isTrue();
    }

    /** What is told while the line to the database is cut is not lost: everybody looks anew. */
    @Test
    void aCutLineOfNoticesIsMendedAndNothingIsMissed() throws Exception {
        Client asha = new Client().signIn();
        String job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        BlockingQueue<String> heard = listening(asha, job, "tab-asha-7");
        try (var connection =
                        DriverManager.getConnection(databaseUrl(), "jerboa", databasePassword());
                var statement = connection.createStatement();
                var cut =
                        statement.executeQuery(
                                "select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and application_name = 'jerboa notices'")) {
            assertThat(cut.next()).as("there was a line to cut").isTrue();
        }
        asha.send(
                "POST", job + "/changes", edit("device", 7, "address", "10.44.8.21", "10.44.8.41"));
        assertThat(until(heard, "\"part\":\"\"")).as("told to look anew").isTrue();
        asha.send(
                "POST", job + "/changes", edit("device", 7, "address", "10.44.8.41", "10.44.8.42"));
        assertThat(until(heard, "\"version\":3")).isTrue();
    }

    /**
     * What changed after a page read the job and before it listened is told with the first word.
     */
    @Test
    void theFirstWordTellsWhatWasToldLately() throws InterruptedException {
        Client asha = new Client().signIn();
        String job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        BlockingQueue<String> already = listening(asha, job, "tab-asha-4");
        asha.send(
                "POST", job + "/changes", edit("device", 7, "address", "10.44.8.21", "10.44.8.41"));
        assertThat(until(already, "\"version\":2")).isTrue();
        BlockingQueue<String> late = listening(asha, job, "tab-asha-5");
        assertThat(late.poll(10, TimeUnit.SECONDS))
                .startsWith("data:{\"listened\":")
                .contains("\"version\":2,\"part\":\"plan\"");
    }

    private static BlockingQueue<String> listening(Client client, String job, String tab)
            throws InterruptedException {
        BlockingQueue<String> heard = new LinkedBlockingQueue<>();
        Thread ears =
                new Thread(
                        () -> {
                            client.listen(job + "/events?tab=" + tab, heard::add);
                            heard.add("ended");
                        });
        ears.setDaemon(true);
        ears.start();
        assertThat(until(heard, "event:hello")).isTrue();
        return heard;
    }

    private static boolean until(BlockingQueue<String> heard, String part)
            throws InterruptedException {
        for (String line = heard.poll(10, TimeUnit.SECONDS);
                line != null;
                line = heard.poll(10, TimeUnit.SECONDS)) {
            if (line.contains(part)) {
                return true;
            }
        }
        return false;
    }
}
