package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Who may do what, how people come in, and how a session ends. */
class PeopleTest extends RunningServer {
    private Client asha;
    private String job;

    @BeforeEach
    void freshJob() {
        asha = new Client().signIn();
        job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
    }

    /** What changes nothing of the job, or only says that one is here. */
    private static final Set<String> FOR_READERS =
            Set.of(
                    "POST /address-plan/what-if",
                    "POST /addresses/compare",
                    "POST /cabling/runs/{run}/what-if",
                    "POST /changes/preview",
                    "POST /duplicate",
                    "POST /kit/sheet/preview",
                    "POST /presence",
                    "POST /site/interfaces",
                    "POST /site/neighbours",
                    // Who drives may say clear and on air, and how they like to drive.
                    "DELETE /desk/feels/{profile}",
                    "POST /desk/clear",
                    "PUT /desk/{device}/limits",
                    "PUT /desk/{device}/turned",
                    // Who drives may name views and lay out shots, and take that back.
                    "POST /changes",
                    "POST /redo",
                    "POST /undo",
                    // Who drives may use presets.
                    "POST /cameras/{device}/dropped",
                    "DELETE /cameras/{device}/dropped",
                    "POST /presets/{device}/{number}",
                    "POST /presets/{device}/copy",
                    "POST /presets/{device}/{number}/move",
                    "POST /presets/{device}/run",
                    "POST /presets/run/cancel",
                    "POST /shot-lists/{list}/run",
                    "POST /shot-lists/run/next",
                    "POST /shot-lists/run/skip",
                    "POST /shot-lists/run/back",
                    "POST /shot-lists/run/again",
                    "POST /shot-lists/run/here",
                    "POST /shot-lists/run/end",
                    "PUT /desk/feels/{profile}",
                    "PUT /desk/pads",
                    "PUT /desk/{device}/air",
                    "PUT /tally",
                    // Who drives may prove, stop and put back.
                    "POST /prove/cancel",
                    "POST /prove/put-back",
                    "POST /prove/start",
                    "POST /prove/stop-all",
                    // Who drives may turn what there is; who looks on may ask and see.
                    "POST /told/readings",
                    "POST /told/try",
                    "POST /told/{device}/preview",
                    "POST /told/{device}/tell",
                    "POST /told/{device}/turn");

    /** Walks the contract, so that a new route cannot be forgotten. */
    @Test
    void theContractKeepsEveryRouteToItsPart() {
        Client viewer = member(asha, job, "viewer-" + System.nanoTime(), "viewer");
        Client operator = member(asha, job, "operator-" + System.nanoTime(), "operator");
        Client stranger = new Client();
        stranger.newcomer(
                asha,
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong(),
                "s" + System.nanoTime(),
                "lead");
        Set<String> forReaders = new TreeSet<>();
        int routes = 0;
        for (var path : asha.get("/api/openapi").json().get("paths").properties()) {
            if (!path.getKey().startsWith("/api/jobs/{job}")) {
                continue;
            }
            String rest = path.getKey().substring("/api/jobs/{job}".length());
            String url = job + rest.replaceAll("\\{\\w+}", "1");
            for (String name : path.getValue().propertyNames()) {
                String method = name.toUpperCase(Locale.ROOT);
                routes++;
                String route = method + " " + rest;
                assertThat(send(stranger, method, url).status())
                        .as("stranger " + route)
                        .isEqualTo(404);
                if (!method.equals("GET") && !rest.equals("/restore")) {
                    for (Client reader : new Client[] {viewer, operator}) {
                        Answer answer = send(reader, method, url);
                        if (answer.status() != 403) {
                            forReaders.add(route);
                        } else {
                            assertThat(answer.code()).as(route).isEqualTo("not-allowed");
                        }
                    }
                }
            }
        }
        assertThat(forReaders).isEqualTo(new TreeSet<>(FOR_READERS));
        assertThat(routes).isGreaterThan(25);
        assertThat(asha.get(job).json().get("version").asLong()).isEqualTo(1);
    }

    private static Answer send(Client who, String method, String url) {
        boolean form = method.equals("POST") && url.matches(".*/(log|observations|dropped)");
        return form ? who.sendNote(url, "a note", 7, png(4, 4)) : who.sendText(method, url, "{}");
    }

    /** Views and shot lists are theirs who drive; the plan is not, nor is undoing one of it. */
    @Test
    void anOperatorNamesViewsAndLaysOutShotsAndNothingElse() {
        String login = "mei-" + System.nanoTime();
        Client mei = member(asha, job, login, "operator");
        String changes = job + "/changes";
        assertThat(mei.send("POST", changes, edit("preset", 109, "name", "wide", "all")).status())
                .isEqualTo(200);
        assertThat(mei.send("POST", changes, edit("take", 137, "cue", "skips shake hands", "go")))
                .extracting(Answer::status)
                .isEqualTo(200);
        assertThat(mei.send("POST", changes, edit("device", 7, "name", "L1", "Balcony")).code())
                .isEqualTo("not-allowed");
        assertThat(mei.send("POST", job + "/undo", Map.of()).status()).isEqualTo(200);
        long id = memberId(login);
        asha.send("PUT", job + "/people/" + id + "/role", Map.of("role", "technician"));
        assertThat(mei.send("POST", changes, edit("device", 7, "name", "L1", "Balcony")).status())
                .isEqualTo(200);
        asha.send("PUT", job + "/people/" + id + "/role", Map.of("role", "operator"));
        assertThat(mei.send("POST", job + "/undo", Map.of()).code()).isEqualTo("not-allowed");
        asha.send("PUT", job + "/people/" + id + "/role", Map.of("role", "viewer"));
        assertThat(mei.send("POST", changes, edit("take", 137, "cue", "go", "now")).code())
                .isEqualTo("not-allowed");
    }

    @Test
    void aTechnicianPlansButDoesNotManage() {
        Client tomas = member(asha, job, "tomas", "technician");
        assertThat(
                        tomas.send(
                                        "POST",
                                        job + "/changes",
                                        edit("device", 7, "address", "10.44.8.21", "10.44.8.41"))
                                .status())
                .isEqualTo(200);
        assertThat(tomas.sendText("DELETE", job, "").code()).isEqualTo("not-allowed");
        assertThat(tomas.get(job + "/people").json().get("invitations")).isEmpty();
        long id = memberId("tomas");
        asha.send("PUT", job + "/people/" + id + "/role", Map.of("role", "viewer"));
        assertThat(tomas.send("POST", job + "/undo", Map.of()).code()).isEqualTo("not-allowed");
        asha.sendText("DELETE", job + "/people/" + id, "");
        assertThat(tomas.get(job).code()).isEqualTo("not-found");
    }

    private long memberId(String login) {
        for (JsonNode m : asha.get(job + "/people").json().get("members")) {
            if (m.get("login").asString().equals(login)) {
                return m.get("id").asLong();
            }
        }
        throw new IllegalStateException(login);
    }

    @Test
    void theLastLeadStays() {
        long self = memberId("asha");
        assertThat(asha.sendText("DELETE", job + "/people/" + self, "").code())
                .isEqualTo("last-lead");
        assertThat(
                        asha.send(
                                        "PUT",
                                        job + "/people/" + self + "/role",
                                        Map.of("role", "viewer"))
                                .code())
                .isEqualTo("last-lead");
    }

    @Test
    void anInvitationWorksOnceAndCanBeWithdrawn() {
        String login = "mei-" + System.nanoTime();
        Client mei = new Client();
        String link = mei.newcomer(asha, job, login, "operator");
        assertThat(mei.get(job).json().get("role").asString()).isEqualTo("operator");
        assertThat(new Client().get("/auth/invitations/" + link).code())
                .isEqualTo("invitation-spent");
        JsonNode other =
                asha.send("POST", job + "/people/invitations", Map.of("role", "viewer", "days", 2))
                        .json();
        String secret = other.get("path").asString().replace("/invitation/", "");
        assertThat(new Client().get("/auth/invitations/" + secret).json().get("job").asString())
                .isEqualTo("Quillhaven Curling Hall");
        asha.sendText("DELETE", job + "/people/invitations/" + other.get("id").asLong(), "");
        assertThat(new Client().get("/auth/invitations/" + secret).code())
                .isEqualTo("invitation-spent");
        assertThat(new Client().get("/auth/invitations/made-up").code())
                .isEqualTo("invitation-spent");
        assertThat(
                        asha.send(
                                        "POST",
                                        job + "/people/invitations",
                                        Map.of("role", "king", "days", 2))
                                .json()
                                .get("field")
                                .asString())
                .isEqualTo("role");
        assertThat(
                        asha.send(
                                        "POST",
                                        job + "/people/invitations",
                                        Map.of("role", "lead", "days", 99))
                                .json()
                                .get("field")
                                .asString())
                .isEqualTo("days");
        assertThat(
                        asha.get(job + "/log?kind=people")
                                .json()
                                .get("entries")
                                .get(0)
                                .get("text")
                                .asString())
                .isEqualTo("An invitation was withdrawn");
    }

    @Test
    void guessingHasToWait() {
        String login = "nobody-" + System.nanoTime();
        Client guesser = new Client();
        guesser.get("/auth/session");
        for (int i = 0; i < 5; i++) {
            assertThat(
                            guesser.send(
                                            "POST",
                                            "/auth/session",
                                            Map.of("login", login, "password", "x" + i))
                                    .code())
                    .isEqualTo("wrong-sign-in");
        }
        Answer waits =
                guesser.send("POST", "/auth/session", Map.of("login", login, "password", "x"));
        assertThat(waits.status()).isEqualTo(429);
        assertThat(waits.json().get("seconds").asInt()).isBetween(1, 600);
        assertThat(new Client().signIn().get("/api/jobs").status()).isEqualTo(200);
    }

    /** However many guess at once, five passwords are looked at. */
    @Test
    void manyGuessesAtOnceAreNoWayRound() throws InterruptedException {
        String login = "nobody-" + System.nanoTime();
        Client guesser = new Client();
        guesser.get("/auth/session");
        Queue<String> codes = new ConcurrentLinkedQueue<>();
        ExecutorService threads = Executors.newFixedThreadPool(20);
        for (int i = 0; i < 40; i++) {
            Map<String, String> body = Map.of("login", login, "password", "guess " + i);
            threads.execute(() -> codes.add(guesser.send("POST", "/auth/session", body).code()));
        }
        threads.shutdown();
        assertThat(threads.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
        assertThat(codes).hasSize(40).containsOnly("wrong-sign-in", "too-many-tries");
        assertThat(codes).filteredOn("wrong-sign-in"::equals).hasSizeLessThanOrEqualTo(5);
    }

    /** Somebody in the same house guesses: whoever has signed in here before is not locked out. */
    @Test
    void aKnownBrowserIsNotLockedOutByOthers() throws SQLException {
        Client known = new Client().signIn();
        try (var connection =
                        DriverManager.getConnection(databaseUrl(), "jerboa", databasePassword());
                var statement = connection.createStatement()) {
            statement.execute(
                    "insert into sign_in_failure (login, origin) select 'x' || n, '127.0.0.1' from generate_series(1, 200) n");
            try {
                Map<String, String> right = Map.of("login", "asha", "password", PASSWORD);
                Client stranger = new Client();
                stranger.get("/auth/session");
                assertThat(stranger.send("POST", "/auth/session", right).status()).isEqualTo(429);
                assertThat(known.send("POST", "/auth/session", right).status()).isEqualTo(200);
                known.get("/auth/session");
                Map<String, String> wrong = Map.of("login", "asha", "password", "no");
                for (int i = 0; i < 10; i++) {
                    assertThat(known.send("POST", "/auth/session", wrong).code())
                            .isEqualTo("wrong-sign-in");
                }
                assertThat(known.send("POST", "/auth/session", wrong).code())
                        .isEqualTo("too-many-tries");
            } finally {
                statement.execute("delete from sign_in_failure");
            }
        }
    }

    @Test
    void aRequestThatIsSentAgainIsDoneOnce() {
        Client lead = new Client().signIn();
        String own =
                "/api/jobs/"
                        + lead.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        Map<String, Object> change = edit("device", 7, "name", "L1", "L1 new");
        Answer first = lead.sendOnce("POST", own + "/changes", change, "key-of-a-change");
        Answer again = lead.sendOnce("POST", own + "/changes", change, "key-of-a-change");
        assertThat(first.status()).isEqualTo(200);
        assertThat(again.status()).as(again.text()).isEqualTo(200);
        assertThat(again.json().get("version")).isEqualTo(first.json().get("version"));
        Answer undone = lead.sendOnce("POST", own + "/undo", Map.of(), "key-of-an-undo");
        Answer undoneAgain = lead.sendOnce("POST", own + "/undo", Map.of(), "key-of-an-undo");
        assertThat(undone.status()).isEqualTo(200);
        assertThat(List.of(undoneAgain.status(), undoneAgain.code()))
                .containsExactly(409, "taken-already");
    }

    @Test
    void aNewPasswordEndsTheOtherSessionsAndSigningOutEverywhereEndsAll() {
        String login = "pat-" + System.nanoTime();
        Client here = new Client();
        here.newcomer(asha, job, login, "viewer");
        Client elsewhere = new Client().signIn(login, NEWCOMER_PASSWORD);
        assertThat(
                        here.send(
                                        "PUT",
                                        "/auth/password",
                                        Map.of("old", "wrong", "fresh", "another password"))
                                .code())
                .isEqualTo("wrong-password");
        assertThat(
                        here.send(
                                        "PUT",
                                        "/auth/password",
                                        Map.of("old", NEWCOMER_PASSWORD, "fresh", "short"))
                                .json()
                                .get("field")
                                .asString())
                .isEqualTo("password");
        assertThat(
                        here.send(
                                        "PUT",
                                        "/auth/password",
                                        Map.of(
                                                "old",
                                                NEWCOMER_PASSWORD,
                                                "fresh",
                                                "another password"))
                                .status())
                .isEqualTo(200);
        assertThat(here.get(job).status()).isEqualTo(200);
        assertThat(elsewhere.get(job).status()).isEqualTo(401);
        Client again = new Client().signIn(login, "another password");
        assertThat(again.sendText("DELETE", "/auth/sessions", "").status()).isEqualTo(200);
        assertThat(here.get(job).status()).isEqualTo(401);
        assertThat(again.get(job).status()).isEqualTo(401);
    }
}
