package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import org.junit.jupiter.api.Test;

/** What a camera sees, as its stand-in draws it and its web server gives it. */
class PictureJourney extends DeskHall {
    /** Mean of the red channel in the lower middle of the picture, where the ice is. */
    private static final String BRIGHTNESS =
            """
            (img) => {
              if (img.naturalWidth !== 960) return NaN
              const c = document.createElement('canvas')
              c.width = 960; c.height = 540
              const g = c.getContext('2d')
              g.drawImage(img, 0, 0)
              const d = g.getImageData(330, 375, 300, 90).data
              let sum = 0
              for (let i = 0; i < d.length; i += 4) sum += d[i]
              return sum / (d.length / 4)
            }
            """;

    private static Locator picture(int camera) {
        return user.page.getByAltText("What L" + camera + " sees");
    }

    private static double brightness(int camera) {
        return ((Number) picture(camera).evaluate(BRIGHTNESS)).doubleValue();
    }

    private static double steady() {
        double now = brightness(1);
        while (Double.isNaN(now)) {
            now = brightness(1);
        }
        return now;
    }

    /** Told again while the camera is busy. */
    private static void turn(int camera, String knob, int value) {
        String path = "/api/jobs/" + job + "/told/" + user.device(job, "L" + camera) + "/turn";
        String body = "{\"knob\":\"" + knob + "\",\"value\":" + value + ",\"confirmed\":false}";
        await().atMost(Duration.ofSeconds(15))
                .until(() -> user.send("POST", path, body).path("value").asInt(-1) == value);
    }

    @Test
    void itShowsWhereTheCameraLooksAndHowItIsPainted() {
        openDesk();
        take(1);
        assertThat(picture(1)).isVisible();
        turn(1, "exposure", 0);
        await().atMost(Duration.ofSeconds(20)).until(() -> brightness(1) > 120);
        double before = steady();
        turn(1, "exposure", 3);
        turn(1, "iris", 6);
        await().atMost(Duration.ofSeconds(20)).until(() -> brightness(1) < before * 0.7);
        double dark = steady();
        turn(1, "iris", 10);
        await().atMost(Duration.ofSeconds(20)).until(() -> brightness(1) > dark * 1.3);
        turn(1, "exposure", 0);
        pushUntil("ArrowUp", () -> head(1).get("tilt").asDouble() > 25);
        await().atMost(Duration.ofSeconds(20)).until(() -> brightness(1) < before * 0.8);
    }

    /** Four large, then all; what is pressed is on the stick, and STOP ALL stays in sight. */
    @Test
    void theWallShowsSeveralAndTakesWhatIsPressed() {
        openDesk();
        take(1);
        user.page.keyboard().press("w");
        Locator wall = user.page.getByLabel("Wall");
        await().atMost(Duration.ofSeconds(20)).until(() -> pictures(wall) == 4);
        wall.getByLabel("Take 3 L3").click();
        assertThat(
                        user.page
                                .getByRole(
                                        AriaRole.GROUP,
                                        new Page.GetByRoleOptions().setName("Cameras"))
                                .locator("[aria-pressed=true]"))
                .containsText("L3");
        assertThat(user.page.getByText("STOP ALL (Space)")).isVisible();
        user.page.keyboard().press("w");
        await().atMost(Duration.ofSeconds(20)).until(() -> pictures(wall) == 4);
        user.page.keyboard().press("w");
        assertThat(wall).hasCount(0);
        assertThat(picture(3)).isVisible();
    }

    /** That have come, whole. */
    private static int pictures(Locator wall) {
        return ((Number)
                        wall.evaluate(
                                "w => [...w.querySelectorAll('img')].filter(i => i.naturalWidth === 960).length"))
                .intValue();
    }

    @Test
    void withoutAPictureItSaysWhyAndDrivesAllTheSame() {
        openDesk();
        user.page.route(
                "**/still*",
                r ->
                        r.fulfill(
                                new Route.FulfillOptions()
                                        .setStatus(409)
                                        .setContentType("application/problem+json")
                                        .setBody(
                                                "{\"code\":\"no-picture\",\"detail\":\"No picture of L3 over the network.\"}")));
        take(3);
        assertThat(user.page.getByText("No picture of L3 over the network.")).isVisible();
        pushUntil("ArrowRight", () -> head(3).get("pan").asDouble() > 1);
        awaitStanding(3);
        assertThat(
                        user.page.getByRole(
                                AriaRole.IMG,
                                new Page.GetByRoleOptions().setName("Where L3 looks")))
                .isVisible();
        user.page.unroute("**/still*");
        assertThat(picture(3)).isVisible();
    }

    /** A picture that does not move looks like a hall in which nothing does. */
    @Test
    void aPictureWhoseNextOneIsLateSaysSo() {
        openDesk();
        take(2);
        assertThat(picture(2)).isVisible();
        user.page.route("**/still*", held -> {});
        assertThat(user.page.getByText("Some seconds old: the next picture is late")).isVisible();
        assertThat(picture(2)).isVisible();
        assertThat(user.page.getByText("No picture came for 10 s")).isVisible();
        user.page.unroute("**/still*");
        assertThat(picture(2)).isVisible();
    }
}
