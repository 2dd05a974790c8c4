package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Dialog;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.assertj.core.api.Assertions;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Lines are proved by machine and by people; whatever ends a test, nothing stays changed. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ProveJourney extends Jerboa {
    private static final Duration LONG = Duration.ofSeconds(90);
    private long job;

    private JsonNode device(String name) {
        JsonNode hall = BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
        for (JsonNode d : hall.get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d;
            }
        }
        throw new IllegalStateException("no " + name + " in the hall");
    }

    private double pan(String name) {
        return device(name).get("head").path("pan").asDouble(0);
    }

    private boolean moves(String name) {
        return device(name).get("head").path("panSpeed").asDouble(0) != 0;
    }

    private String state() {
        return user.send("GET", "/api/jobs/" + job + "/prove", "").get("state").asString();
    }

    private Map<String, String> standings(String line) {
        Map<String, String> all = new TreeMap<>();
        for (JsonNode s : user.send("GET", "/api/jobs/" + job + "/standings", "")) {
            if (s.get("name").asString().equals(line)) {
                all.put(s.get("test").asString(), s.get("standing").asString());
            }
        }
        return all;
    }

    private void openProve(String... lines) {
        user.open(job, "prove");
        Locator all = user.page.getByLabel("Line", new Page.GetByLabelOptions().setExact(true));
        all.uncheck();
        for (String line : lines) {
            user.page
                    .getByLabel("Prove " + line, new Page.GetByLabelOptions().setExact(true))
                    .check();
        }
    }

    private void prove(String... without) {
        user.press("Prove by machine …");
        Locator dialog = user.page.getByRole(AriaRole.DIALOG);
        for (String test : without) {
            dialog.getByLabel(test, new Locator.GetByLabelOptions().setExact(true)).uncheck();
        }
        assertThat(dialog.locator("button:has-text('Start')")).isDisabled();
        dialog.getByLabel("Somebody at the heads said “clear”").check();
        dialog.locator("button:has-text('Start')").click();
        assertThat(dialog).hasCount(0);
    }

    @Test
    void aLineIsProvedByMachineAndByAPerson() {
        job = user.setHall();
        whatIsOnAirIsNotMoved();
        double before = pan("L1");
        openProve("L1", "L13");
        prove();
        await().atMost(LONG).until(() -> !List.of("none", "running").contains(state()));
        Assertions.assertThat(state()).isEqualTo("done");
        Assertions.assertThat(standings("L1"))
                .containsAllEntriesOf(Map.of("link", "asked", "address", "asked", "moves", "asked"))
                .containsAllEntriesOf(Map.of("zoom", "asked", "focus", "asked", "stop", "asked"))
                .containsEntry("stream", "asked");
        Assertions.assertThat(standings("L13")).containsEntry("moves", "cannot-tell");
        Assertions.assertThat(pan("L1")).isCloseTo(before, Offset.offset(0.25));
        user.page.getByLabel("L1 moves: asked").click();
        assertThat(user.page.getByText("Driven by 3.0° each way")).isVisible();
        user.press("Close");
        // What is left is listed by place: this line's direction is seen from here.
        Locator left = user.page.getByLabel("What is left");
        assertThat(left).containsText("By machine, from here");
        left.getByLabel("L1: Direction").click();
        assertThat(user.page.getByText("does the picture go right, then up?")).isVisible();
        user.press("Yes, it is so");
        assertThat(user.page.locator("[data-observation]")).containsText("seen: as it should be");
        user.press("Close");
        assertThat(user.page.getByLabel("L1 direction: seen")).isVisible();
        assertThat(left.getByLabel("L1: Direction")).hasCount(0);
        editAsksFirst();
    }

    private void whatIsOnAirIsNotMoved() {
        String air = "/api/jobs/" + job + "/desk/" + user.device(job, "L2") + "/air";
        user.send("PUT", air, "{\"onAir\":true}");
        double before = pan("L2");
        long line = 0;
        for (JsonNode s : user.send("GET", "/api/jobs/" + job + "/standings", "")) {
            line = s.get("name").asString().equals("L2") ? s.get("line").asLong() : line;
        }
        user.send(
                "POST",
                "/api/jobs/" + job + "/prove/start",
                "{\"lines\":[" + line + "],\"tests\":[\"moves\"],\"clear\":true}");
        await().atMost(LONG).until(() -> !List.of("none", "running").contains(state()));
        Assertions.assertThat(standings("L2")).containsEntry("moves", "cannot-tell");
        Assertions.assertThat(pan("L2")).isEqualTo(before);
        user.send("PUT", air, "{\"onAir\":false}");
    }

    /**
     * What was proved over an address must be proved again after it changed; undo makes it fresh.
     */
    private void editAsksFirst() {
        user.open(job, "");
        assertThat(user.row("L1")).containsText("8 of 11");
        user.page.getByText("10.44.8.21").first().click();
        Locator field = user.page.getByLabel("Address of L1");
        field.fill("10.44.8.41");
        field.press("Enter");
        Locator dialog = user.page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("This must be proved again afterwards");
        assertThat(dialog).containsText("L1: address, stream, MAC");
        user.press("Change it");
        assertThat(user.row("L1")).containsText("differs");
        user.press("Undo");
        assertThat(user.row("L1")).containsText("8 of 11");
    }

    /** Somebody cries stop: the head stands, nothing moves by itself, and what is left is said. */
    @Test
    void stopAllEndsATestAndWhatIsLeftIsPutBackOnRequest() {
        job = user.setHall();
        double before = pan("L2");
        openProve("L2");
        prove("Zoom", "Focus", "Stop");
        // Away by more than what counts as put back.
        await().atMost(LONG)
                .pollInterval(Duration.ofMillis(30))
                .until(() -> Math.abs(pan("L2") - before) > 0.3);
        user.page.keyboard().press("Escape");
        await().atMost(Duration.ofSeconds(2)).until(() -> !moves("L2"));
        await().atMost(LONG).until(() -> state().equals("stopped"));
        assertThat(user.page.getByText("STOP ALL.")).isVisible();
        assertThat(user.page.getByText("Not put back yet: L2 head.")).isVisible();
        double stopped = pan("L2");
        // Also a server that was killed then and comes back leaves it where it was stopped.
        programs.killServer();
        programs.startServer();
        user.sitDown(ColorScheme.LIGHT, 1280, 800);
        user.signIn();
        user.open(job, "prove");
        assertThat(user.page.getByText("Not put back yet: L2 head.")).isVisible();
        Assertions.assertThat(pan("L2")).isEqualTo(stopped);
        putItBack();
        Assertions.assertThat(stopped).isNotCloseTo(before, Offset.offset(0.25));
        Assertions.assertThat(pan("L2")).isCloseTo(before, Offset.offset(0.25));
    }

    /** What does not answer at once is said to stay as it is: then it is asked for again. */
    private static void putItBack() {
        Locator left = user.page.getByText("Not put back yet");
        for (int tries = 0; tries < 3; tries++) {
            user.page.onceDialog(Dialog::accept);
            user.press("Put it back …");
            await().atMost(LONG)
                    .until(
                            () ->
                                    left.count() == 0
                                            || user.page.getByText("Not put back: ").count() > 0);
            if (left.count() == 0) {
                return;
            }
        }
        assertThat(left).hasCount(0);
    }

    /**
     * A STOP ALL that finds no head in hand ends the run all the same: the next one stays still.
     */
    @Test
    void stopAllBetweenTwoHeadsKeepsTheNextOneStill() {
        job = user.setHall();
        double before = pan("L2");
        List<Long> lines = new ArrayList<>();
        for (JsonNode l : user.send("GET", "/api/jobs/" + job, "").get("lines")) {
            if (l.get("name").asString().equals("L2")) {
                lines.add(l.get("id").asLong());
            }
        }
        String path = "/api/jobs/" + job + "/prove";
        user.send(
                "POST",
                path + "/start",
                "{\"lines\":" + lines + ",\"tests\":[\"focus\",\"stop\"],\"clear\":true}");
        user.send("POST", path + "/stop-all", "{}");
        await().atMost(LONG).until(() -> !state().equals("running"));
        Assertions.assertThat(state()).isEqualTo("stopped");
        Assertions.assertThat(standings("L2")).containsEntry("stop", "open");
        Assertions.assertThat(pan("L2")).isEqualTo(before);
    }

    /** A killed server stops the head first when it is back, then puts it back. */
    @Test
    void aKilledServerPutsBackWhatItLeft() {
        job = user.setHall();
        double before = pan("L3");
        openProve("L3");
        prove("Zoom", "Focus", "Stop");
        await().atMost(LONG).until(() -> moves("L3") && Math.abs(pan("L3") - before) > 0.5);
        programs.killServer();
        programs.startServer();
        user.sitDown(ColorScheme.LIGHT, 1280, 800);
        user.signIn();
        await().atMost(LONG).until(() -> !moves("L3") && Math.abs(pan("L3") - before) < 0.25);
        await().atMost(LONG)
                .until(
                        () ->
                                user.send("GET", "/api/jobs/" + job + "/prove", "")
                                        .get("left")
                                        .isEmpty());
        Assertions.assertThat(state()).isEqualTo("stopped");
    }
}
