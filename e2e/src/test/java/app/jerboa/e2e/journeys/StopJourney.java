package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.DeskLine;
import app.jerboa.e2e.harness.HttpUser;
import com.microsoft.playwright.Page;
import java.time.Duration;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Whatever happens to a user, its server or its person: the head stops, and is seen to. */
@Tag("alone")
class StopJourney extends Jerboa {
    private static final Duration SOON = Duration.ofSeconds(10);
    private static long job;

    private final HttpUser asha = new HttpUser(programs::url).signIn("asha");

    private static long camera(String name) {
        if (job == 0) {
            job = user.broughtUpJob();
        }
        programs.speed(1);
        return user.device(job, name);
    }

    private DeskLine driving(HttpUser person, String name) {
        DeskLine line = person.desk().take(job, camera(name));
        line.hold(0.4);
        awaitMoving(name, true);
        return line;
    }

    private static void awaitMoving(String name, boolean moving) {
        await().atMost(SOON).pollInterval(Duration.ofMillis(10)).until(() -> moves(name) == moving);
    }

    private static boolean moves(String name) {
        for (JsonNode d :
                BrowserUser.json(programs.rig("GET", "/halls/" + job, "")).get("devices")) {
            if (d.get("name").asString().equals(name)) {
                JsonNode head = d.get("head");
                return head.get("panSpeed").asDouble() != 0 || head.get("homing").asBoolean();
            }
        }
        throw new IllegalStateException("no stand-in " + name);
    }

    @Test
    void aDeskThatStopsReadingIsStoppedAndHarmsNoOther() {
        camera("L1");
        try (DeskLine other = driving(asha, "L2");
                DeskLine deaf = new DeskLine(programs.url(""), asha.cookie(), 1024)) {
            deaf.take(job, camera("L1"));
            deaf.stopReading();
            deaf.hold(0.4);
            awaitMoving("L1", true);
            // Each of these is answered; the answers fill the way to it and then its queue.
            for (int i = 0; i < 3_000; i++) {
                deaf.send("{\"type\":\"nonsense\"}");
            }
            deaf.fallSilent();
            awaitMoving("L1", false);
            assertThat(moves("L2")).isTrue();
            other.fallSilent();
            awaitMoving("L2", false);
            assertThat(asha.get("/actuator/health").join().body()).contains("UP");
        }
    }

    @Test
    void theDriverIsToldOfAStopAllAndWhatMovesNextIsStoredAnew() {
        camera("L3");
        try (DeskLine driver = driving(asha, "L3");
                DeskLine other = asha.desk()) {
            other.send("{\"type\":\"open\",\"job\":" + job + "}");
            await().atMost(SOON)
                    .until(
                            () -> {
                                other.stopAll();
                                return !moves("L3");
                            });
            JsonNode stopped = driver.await("stopped", SOON);
            assertThat(stopped.get("why").asString()).isEqualTo("STOP ALL");
            assertThat(stopped.get("standing").asBoolean()).isTrue();
            driver.release();
            driver.hold(0.4);
            awaitMoving("L3", true);
            programs.killServer();
        }
        assertThat(moves("L3")).as("nobody is there to stop it").isTrue();
        programs.startServer();
        awaitMoving("L3", false);
    }

    @Test
    void aHeadOnItsWayHomeStopsWithItsDesk() {
        camera("L4");
        programs.speed(1);
        try (DeskLine away = driving(asha, "L4")) {
            away.hold(1);
            // Far enough that the way home takes a while.
            await().atMost(SOON).until(() -> position("L4") > 8);
            away.release();
            away.await("stopped", SOON);
            away.send("{\"type\":\"home\"}");
            awaitMoving("L4", true);
        }
        awaitMoving("L4", false);
        assertThat(position("L4")).as("it did not get home").isGreaterThan(0.5);
    }

    private static double position(String name) {
        for (JsonNode d :
                BrowserUser.json(programs.rig("GET", "/halls/" + job, "")).get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d.get("head").get("pan").asDouble();
            }
        }
        return 0;
    }

    @Test
    void whoeverSignsOutEverywhereDrivesNoMore() {
        camera("L1");
        HttpUser tomas = letIn("tomas");
        try (DeskLine line = driving(tomas, "L1")) {
            tomas.request("DELETE", "/auth/sessions", "").join();
            awaitMoving("L1", false);
            await().atMost(SOON).until(line::ended);
        }
    }

    @Test
    void whoeverIsTakenOutOfTheJobDrivesNoMore() {
        camera("L2");
        HttpUser mei = letIn("mei");
        try (DeskLine line = driving(mei, "L2")) {
            for (JsonNode member : asha.json("/api/jobs/" + job + "/people").get("members")) {
                if (member.get("login").asString().equals("mei")) {
                    asha.request(
                                    "DELETE",
                                    "/api/jobs/" + job + "/people/" + member.get("id").asLong(),
                                    "")
                            .join();
                }
            }
            awaitMoving("L2", false);
            await().atMost(SOON).until(line::ended);
        }
    }

    /**
     * Asked for, it may be kept; a lead need not ask, and the head is stopped before it is given.
     */
    @Test
    void aCameraGoesFromOneDriverToAnother() {
        long camera = camera("L4");
        HttpUser tomas = letIn("tomas");
        try (DeskLine has = driving(tomas, "L4");
                DeskLine wants = asha.desk()) {
            wants.send("{\"type\":\"open\",\"job\":" + job + "}");
            wants.send("{\"type\":\"take\",\"camera\":" + camera + "}");
            assertThat(wants.await("refused", SOON).get("askable").asBoolean()).isTrue();
            wants.send("{\"type\":\"ask\",\"camera\":" + camera + "}");
            assertThat(has.await("released", SOON).get("reason").asString())
                    .contains("took it over");
            wants.await("taken", SOON);
            awaitMoving("L4", false);
            has.release();
            has.send("{\"type\":\"ask\",\"camera\":" + camera + "}");
            has.await("waiting", SOON);
            assertThat(wants.await("asked", SOON).get("seconds").asInt()).isBetween(1, 10);
            wants.send("{\"type\":\"keep\"}");
            assertThat(has.await("refused", SOON).get("reason").asString()).contains("is kept");
        }
    }

    private HttpUser letIn(String login) {
        HttpUser person = new HttpUser(programs::url).signIn(login);
        String path =
                BrowserUser.json(
                                asha.post(
                                                "/api/jobs/" + job + "/people/invitations",
                                                "{\"role\":\"operator\",\"days\":1}")
                                        .join()
                                        .body())
                        .get("path")
                        .asString();
        person.post("/auth/invitations/" + path.replace("/invitation/", "") + "/join", "{}").join();
        return person;
    }

    @Test
    void aWindowThatLosesTheFocusLetsGoOfTheStickForGood() {
        camera("L3");
        takeInBrowser("3");
        Page page = user.page;
        page.keyboard().down("ArrowRight");
        awaitMoving("L3", true);
        page.evaluate("() => window.dispatchEvent(new Event('blur'))");
        awaitMoving("L3", false);
        page.keyboard().down("ArrowUp");
        await().atMost(SOON).until(() -> tilts("L3"));
        assertThat(moves("L3")).as("the arrow that was held does not come back").isFalse();
        page.keyboard().up("ArrowUp");
        page.keyboard().up("ArrowRight");
    }

    private static void takeInBrowser(String key) {
        user.open(job, "desk");
        user.page.getByLabel("Cameras").waitFor();
        user.page.keyboard().press(key);
        user.page.locator("[data-reading=Pan]").waitFor();
    }

    private static boolean tilts(String name) {
        for (JsonNode d :
                BrowserUser.json(programs.rig("GET", "/halls/" + job, "")).get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d.get("head").get("tiltSpeed").asDouble() != 0;
            }
        }
        return false;
    }

    @Test
    void aCameraThatCannotBeTakenLeavesTheStickEmpty() {
        camera("L1");
        takeInBrowser("1");
        try (DeskLine other = driving(asha, "L2")) {
            user.page.keyboard().press("2");
            user.page.getByText("is driving it at another desk").waitFor();
            user.page.keyboard().down("ArrowRight");
            assertThat(moves("L1")).as("the old one is not on the stick").isFalse();
            user.page.keyboard().up("ArrowRight");
            other.release();
        }
    }

    /** The head says nothing any more: the page says so as loudly as it can. */
    @Test
    void aStopThatIsNotSeenDoneIsLoud() {
        long l4 = camera("L4");
        takeInBrowser("4");
        user.page.keyboard().down("ArrowLeft");
        awaitMoving("L4", true);
        plug(l4, false);
        user.page.keyboard().up("ArrowLeft");
        user.page.getByText("L4 was not seen stopped").waitFor();
        plug(l4, true);
        programs.speed(1000);
        user.page.getByText("Stopped and seen standing still").waitFor();
        programs.speed(1);
    }

    private static void plug(long camera, boolean plugged) {
        programs.rig(
                "PUT",
                "/halls/" + job + "/devices/" + camera + "/plug",
                "{\"plugged\":" + plugged + "}");
    }
}
