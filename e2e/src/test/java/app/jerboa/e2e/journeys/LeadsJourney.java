package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Every head of the demo is driven over the lead that is planned for it. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class LeadsJourney extends Jerboa {
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

    private boolean moves(String name) {
        JsonNode head = device(name).get("head");
        return head != null && !head.isNull() && head.get("panSpeed").asDouble() != 0;
    }

    private void openDesk() {
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
    }

    @Test
    void everyHeadMovesAndStops() {
        job = user.setHall();
        openDesk();
        assertThat(user.page.getByText("no way").first()).isVisible();
        long line = lineOf("L12");
        user.send(
                "POST",
                "/api/jobs/" + job + "/changes",
                BrowserUser.changes(
                        List.of(),
                        List.of(
                                Map.of(
                                        "item",
                                        "line",
                                        "id",
                                        line,
                                        "field",
                                        "controlId",
                                        "before",
                                        "2",
                                        "after",
                                        "3"))));
        user.send("GET", "/api/jobs/" + job + "/rig", "");
        setInReach("L12", 3);
        openDesk();
        for (Map.Entry<String, String> e :
                Map.of(
                                "7",
                                "L7",
                                "10",
                                "L10",
                                "11",
                                "L11",
                                "12",
                                "L12",
                                "13",
                                "L13",
                                "14",
                                "Control bridge")
                        .entrySet()) {
            drive(e.getKey(), e.getValue());
        }
        asked();
    }

    /** As its card says: dials and menus, until it has that number. */
    private void setInReach(String camera, int number) {
        String path = "/halls/" + job + "/devices/" + user.device(job, camera) + "/in-reach";
        await().atMost(Duration.ofSeconds(10))
                .until(
                        () -> {
                            programs.rig("POST", path, "");
                            return number(camera) == number;
                        });
    }

    private int number(String camera) {
        JsonNode truth = BrowserUser.json(programs.rig("GET", "/halls/" + job + "/truth", ""));
        for (JsonNode d : truth.get("devices")) {
            if (d.get("name").asString().equals(camera)) {
                return d.get("condition").get("dials").get("number").asInt();
            }
        }
        throw new IllegalStateException("no " + camera + " in the hall");
    }

    /** Whoever answers on a lead is known by its number and rate; the dome tells nothing back. */
    private void asked() {
        String path = "/api/jobs/" + job;
        List<Long> devices =
                List.of("L10", "L11", "L12", "L13").stream()
                        .map(name -> user.device(job, name))
                        .toList();
        user.send("POST", path + "/prove/ask", "{\"devices\":" + devices + "}");
        await().atMost(Duration.ofSeconds(40))
                .until(
                        () ->
                                user.send("GET", path + "/prove", "")
                                        .get("state")
                                        .asString()
                                        .equals("done"));
        Map<String, String> control = new TreeMap<>();
        for (JsonNode d : user.send("GET", path + "/as-found", "")) {
            for (JsonNode f : d.get("facts")) {
                if (f.get("what").asString().equals("control")) {
                    control.put(
                            d.get("device").asString(),
                            f.get("standing").asString() + " " + f.get("found").asString());
                }
            }
        }
        assertThat(control)
                .containsEntry("L10", "asked VISCA, number 1, 9600 baud")
                .containsEntry("L11", "asked VISCA, number 2, 9600 baud")
                .containsEntry("L12", "asked VISCA, number 3, 9600 baud")
                .containsEntry("L13", "cannot-tell ");
    }

    /** Two leads changed over are seen at the switch and among the findings; the plan follows. */
    @Test
    void theSwitchesTellWhichLeadIsWhere() {
        job = user.setHall();
        moveEnd("L1", "PORT 2");
        moveEnd("L2", "PORT 1");
        programs.speed(1000);
        user.page.waitForCondition(
                () ->
                        !user.send("GET", "/api/jobs/" + job + "/rig", "")
                                .toString()
                                .contains("booting"));
        programs.speed(1);
        user.open(job, "cabling?tab=seen");
        user.press("Ask the switches");
        assertThat(user.page.getByText("PoE switch answered")).isVisible();
        assertThat(user.page.getByText("Balcony switch is not managed")).isVisible();
        assertThat(user.row("L1")).containsText("elsewhere");
        assertThat(user.row("L1")).containsText("Move the lead from PoE switch PORT 2");
        assertThat(user.row("L3")).containsText("as planned");
        user.page.getByText("Findings (").first().click();
        Locator found = user.page.locator("aside [data-code=WIRE-DIFFERS]");
        assertThat(found).hasCount(2);
        assertThat(found.first()).containsText("L1 hangs on PoE switch PORT 2; planned is PoE");
        user.press("Let the plan follow: 2 …");
        user.press("Apply");
        assertThat(user.row("L1")).containsText("as planned");
        assertThat(user.row("L2")).containsText("as planned");
        assertThat(found).hasCount(0);
    }

    /** Takes the switch's end of a camera's lead to another port, whatever the plan says. */
    private void moveEnd(String camera, String port) {
        JsonNode truth = BrowserUser.json(programs.rig("GET", "/halls/" + job + "/truth", ""));
        for (JsonNode r : truth.get("runs")) {
            if (r.get("to").asString().equals(camera + " LAN")) {
                programs.rig(
                        "PUT",
                        "/halls/" + job + "/runs/" + r.get("id").asLong() + "/end",
                        "{\"near\":true,\"device\":\""
                                + user.device(job, "PoE switch")
                                + "\",\"port\":\""
                                + port
                                + "\"}");
            }
        }
    }

    /** A lead has the chain number itself: two cameras of one number are told apart by it. */
    @Test
    void aLeadGivesAChainItsNumbers() {
        job = user.setHall();
        long l10 = user.device(job, "L10");
        user.open(job, "wire?device=" + l10);
        user.press("Type a frame …");
        user.press("Give the cameras of its chain their numbers …");
        user.press("Number them now");
        assertThat(
                        user.page.getByText(
                                "3 cameras have taken a number on the chain at Serial server; the plan has 3 on it."))
                .isVisible();
        assertThat(user.page.locator("footer")).containsText("3 cameras have taken a number");
    }

    private long lineOf(String camera) {
        long device = user.device(job, camera);
        for (JsonNode l : user.send("GET", "/api/jobs/" + job, "").get("lines")) {
            if (l.get("cameraId").asLong() == device) {
                return l.get("id").asLong();
            }
        }
        throw new IllegalStateException("no line of " + camera);
    }

    private void drive(String number, String moved) {
        number.chars().forEach(c -> user.page.keyboard().press(Character.toString(c)));
        assertThat(
                        user.page.getByRole(
                                AriaRole.BUTTON, new Page.GetByRoleOptions().setPressed(true)))
                .containsText("L" + number);
        pushUntil("ArrowRight", () -> moves(moved));
        await().atMost(Duration.ofSeconds(5)).until(() -> !moves(moved));
        assertThat(device(moved).get("head").get("pan").asDouble()).isPositive();
        String said = number.equals("13") ? "Told to stop three times" : "seen standing still";
        assertThat(user.page.getByText(said)).isVisible();
    }
}
