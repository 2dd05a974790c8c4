package app.jerboa.e2e.journeys;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class LookTmp extends DeskHall {
    static void shoot(String name) {
        user.page.waitForTimeout(500);
        user.page.screenshot(
                new Page.ScreenshotOptions().setPath(Path.of("/tmp/w/look", name + ".png")));
    }

    @Test
    void look() {
        user.sitDown(ColorScheme.LIGHT, 1280, 800);
        user.page.navigate(programs.url("/"));
        user.signIn();
        long job = user.setHall();
        programs.speed(1);
        user.open(job, "shots");
        user.page.waitForTimeout(1500);
        shoot("shots1");
        user.page.getByText("Run …").click();
        user.page.waitForTimeout(300);
        shoot("shots2");
        user.page.getByText("said “clear”").click();
        user.page.getByText("Send the cameras").click();
        user.page.waitForTimeout(6000);
        shoot("shots3");
        user.page.keyboard().press("n");
        user.page.waitForTimeout(1000);
        user.page.keyboard().press("n");
        user.page.waitForTimeout(3000);
        shoot("shots4");
        System.out.println("RUN " + user.send("GET", "/api/jobs/" + job + "/shot-lists/run", ""));
        user.page.getByLabel("View of the next take").fill("l5 wi");
        user.page.waitForTimeout(500);
        shoot("shots5");
    }
}
