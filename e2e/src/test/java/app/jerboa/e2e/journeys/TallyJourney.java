package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * What is on air is read from the switcher: cut there, held here, and unknown when it is silent.
 */
class TallyJourney extends DeskHall {
    private static final String SWITCHER = "SDI switcher";

    private static void cut(int input) throws IOException {
        JsonNode reach =
                BrowserUser.json(programs.rig("GET", "/halls/" + job + "/reach/10.44.8.61", ""));
        int port = reach.findValue("ports").get("switcher").asInt();
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            socket.getOutputStream()
                    .write(("{\"programme\":" + input + "}\n").getBytes(StandardCharsets.UTF_8));
            socket.getInputStream().read();
        }
    }

    private static void plug(boolean on) {
        user.send(
                "PUT",
                "/api/jobs/" + job + "/rig/devices/" + user.device(job, SWITCHER) + "/plug",
                "{\"plugged\":" + on + "}");
    }

    private static Locator key(int camera) {
        return user.page
                .getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras"))
                .getByRole(AriaRole.BUTTON)
                .nth(camera - 1);
    }

    private static double pan(int camera) {
        return head(camera).get("pan").asDouble();
    }

    @Test
    void aCutAtTheSwitcherHoldsTheHeadAndItsSilenceHoldsAll() throws IOException {
        job = user.setHall();
        cut(3);
        openDesk();
        take(2);
        pushUntil("ArrowRight", () -> pan(2) > 2);
        awaitStanding(2);

        Locator onAir = user.page.getByLabel("On air", new Page.GetByLabelOptions().setExact(true));
        onAir.getByRole(AriaRole.COMBOBOX).selectOption("read from " + SWITCHER);
        assertThat(onAir).containsText("L3 on air, says " + SWITCHER);
        assertThat(key(3)).containsText("on air");

        cut(2);
        assertThat(key(2)).containsText("on air");
        assertThat(key(3)).not().containsText("on air");
        double before = pan(2);
        user.page.keyboard().down("ArrowLeft");
        assertThat(user.page.getByText("Not moved: L2 is on air")).isVisible();
        user.page.keyboard().up("ArrowLeft");
        assertThat(pan(2)).isCloseTo(before, within(0.01));

        cut(1);
        assertThat(key(2)).not().containsText("on air");
        pushUntil("ArrowLeft", () -> pan(2) < before - 2);
        awaitStanding(2);

        plug(false);
        assertThat(onAir).containsText("not known, which counts as on air");
        user.page.keyboard().down("ArrowRight");
        assertThat(user.page.getByText("whether L2 is on air is not known").first()).isVisible();
        user.page.keyboard().up("ArrowRight");

        onAir.getByRole(AriaRole.COMBOBOX).selectOption("said by hand");
        assertThat(key(2)).not().containsText("on air");
        double held = pan(2);
        pushUntil("ArrowRight", () -> pan(2) > held + 2);
        awaitStanding(2);
        await().atMost(Duration.ofSeconds(5))
                .until(
                        () ->
                                user.send("GET", "/api/jobs/" + job + "/tally", "")
                                        .get("switcher")
                                        .isNull());
    }
}
