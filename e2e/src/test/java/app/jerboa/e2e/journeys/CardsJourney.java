package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A technician who reads the card and nothing else, from boxes to every device at its place. */
class CardsJourney extends Jerboa {
    private static final Duration MOST = Duration.ofSeconds(200);
    private static final Duration LOOK = Duration.ofMillis(50);

    private int presses;
    private int moves;

    @Test
    void theDemoIsBroughtUpByCardsThatTickThemselves() {
        programs.speed(1000);
        long job = user.freshJob();
        user.setAddress(job, "L4", "10.44.8.33", "10.44.8.24");
        user.open(job, "bring-up");
        user.press("Start the bring-up");
        work();
        assertThat(user.page.getByText("are at their planned addresses")).isVisible();
        JsonNode view = user.send("GET", "/api/jobs/" + job + "/bring-up", "");
        int devices = 0;
        int laptop = 0;
        for (JsonNode s : view.get("steps")) {
            laptop += s.get("deviceId").isNull() ? 1 : 0;
            if (Set.of("verify", "ask").contains(s.get("kind").asString())) {
                devices++;
                Assertions.assertThat(s.get("evidence").asString())
                        .as(s.toString())
                        .isEqualTo("asked");
            }
        }
        Assertions.assertThat(devices).isGreaterThan(15);
        Assertions.assertThat(presses)
                .as("presses for " + devices)
                .isLessThanOrEqualTo(3 * devices);
        Assertions.assertThat(moves).as("moves of the laptop").isEqualTo(laptop);
        Assertions.assertThat(elsewhere(job)).isEmpty();
        Assertions.assertThat(keys(job)).isEqualTo(planned());
        assertThat(user.page.locator("[data-device=L13]")).containsText("no power arrives");
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        user.page.keyboard().press("1");
        user.page.keyboard().press("0");
        user.press("In the rig: move it");
        assertThat(user.page.getByText("Moved.")).isVisible();
        System.out.println("cards: " + presses + " presses for " + devices + " devices");
        programs.speed(1);
    }

    /** What a card shows at one moment. */
    private static final String CARD =
            """
            () => {
              const card = document.querySelector('[data-step]')
              if (!card) return document.body.textContent.includes('are at their planned addresses') ? 'over' : ''
              const buttons = [...card.querySelectorAll('button')]
              const named = (word) => buttons.some((b) => b.textContent.includes(word) && !b.disabled)
              const number = /Step (\\d+) of/.exec(card.textContent)[1]
              const tick = named('Done, check it') ? 'Done, check it' : ''
              return [number, card.dataset.step, named('In the rig'), tick].join('|')
            }
            """;

    /** Does what the card says: the hand it offers, then waits or ticks, as it says. */
    private void work() {
        Set<String> handled = new HashSet<>();
        await().atMost(MOST).pollInterval(LOOK).pollInSameThread().until(() -> lookAndDo(handled));
    }

    /** One look at the card; true when there is none left. */
    private boolean lookAndDo(Set<String> handled) {
        String[] card = user.page.evaluate(CARD).toString().split("\\|", -1);
        if (card.length < 4) {
            return card[0].equals("over");
        }
        if (card[2].equals("true") && !handled.contains(card[0])) {
            if (press("In the rig") > 0) {
                handled.add(card[0]);
                moves += card[1].equals("alias") || card[1].startsWith("hop") ? 1 : 0;
            }
        } else if (!card[3].isEmpty()) {
            presses += press(card[3]);
        }
        return false;
    }

    /** The card may tick itself while a finger is on its way: 0 then. */
    private static int press(String words) {
        Object pressed =
                user.page.evaluate(
                        """
                        (words) => {
                          const all = [...document.querySelectorAll('[data-step] button')]
                          const button = all.find((b) => b.textContent.includes(words) && !b.disabled)
                          button?.click()
                          return button ? 1 : 0
                        }
                        """,
                        words);
        return ((Number) pressed).intValue();
    }

    /** Devices of the hall that stand at another address than planned. */
    private Map<String, String> elsewhere(long job) {
        Map<Long, String> planned = new TreeMap<>();
        for (JsonNode d : user.send("GET", "/api/jobs/" + job, "").get("devices")) {
            if (d.get("found").asString().equals(d.get("address").asString())) {
                planned.put(d.get("id").asLong(), d.get("address").asString());
            }
        }
        Map<String, String> others = new TreeMap<>();
        JsonNode hall = BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
        for (JsonNode d : hall.get("devices")) {
            String wanted = planned.getOrDefault(d.get("id").asLong(), "");
            String is = d.get("settings").path("address").asString("");
            if (!wanted.isEmpty() && !wanted.equals(is)) {
                others.put(d.get("name").asString(), is + " for " + wanted);
            }
        }
        return others;
    }

    /**
     * Which camera each key moves by the truth of the hall; what the plan leaves wrong on purpose
     * is two of one number, and a dome without enough volts.
     */
    private static Map<String, String> keys(long job) {
        JsonNode truth = BrowserUser.json(programs.rig("GET", "/halls/" + job + "/truth", ""));
        Map<String, String> moved = new TreeMap<>();
        for (JsonNode k : truth.get("keys")) {
            String controller = name(truth, k.get("controller").asLong());
            List<String> names = new ArrayList<>();
            k.get("moves").forEach(d -> names.add(name(truth, d.asLong())));
            moved.put(controller + " " + k.get("key").asInt(), String.join(" ", names));
        }
        return moved;
    }

    private static Map<String, String> planned() {
        Map<String, String> wanted = new TreeMap<>();
        for (int n = 1; n <= 7; n++) {
            wanted.put("IP stick " + n, "L" + n);
        }
        wanted.put("IP stick 8", "");
        wanted.putAll(Map.of("Paint panel 8", "L8", "Paint panel 9", "L9"));
        wanted.putAll(Map.of("Serial stick 1", "L10", "Serial stick 2", "L11"));
        wanted.putAll(Map.of("Serial stick 3", "L11", "Serial stick 4", ""));
        wanted.putAll(Map.of("Tablet 7", "L7", "Tablet 14", "Control bridge"));
        return wanted;
    }

    private static String name(JsonNode truth, long id) {
        for (JsonNode d : truth.get("devices")) {
            if (d.get("id").asLong() == id) {
                return d.get("name").asString();
            }
        }
        throw new IllegalStateException("no device " + id);
    }
}
