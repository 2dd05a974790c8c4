package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** On the live network a picture comes out of a stream, or is given by a person. */
class LivePictureJourney extends Jerboa {
    private static final String ADDRESS = "127.44.8.51";

    private static boolean hasFfmpeg() {
        return Arrays.stream(System.getenv("PATH").split(File.pathSeparator, -1))
                .anyMatch(p -> Files.isExecutable(Path.of(p, "ffmpeg")));
    }

    /** Like a compact one that sends a stream and no stills, at a port that anybody may open. */
    private static String streamOnly(int port) {
        try {
            Path shipped =
                    Programs.ROOT.resolve(
                            "core/src/main/resources/profiles/compact-ptz-stream.profile.json");
            ObjectNode profile = (ObjectNode) BrowserUser.json(Files.readString(shipped));
            profile.put("id", "stream-only-" + port).put("name", "Stream only");
            profile.withObject("access").put("password", "factory");
            profile.withObject("video").put("stillPath", "");
            for (JsonNode speaks : profile.get("speaks")) {
                if (speaks.get("protocol").asString().equals("rtsp")) {
                    ((ObjectNode) speaks).put("port", port);
                }
            }
            return profile.toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] photo() {
        BufferedImage image = new BufferedImage(320, 180, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.ORANGE);
        g.fillRect(40, 40, 200, 100);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    @Test
    void aPictureIsGivenUntilTheStreamHasOne() throws IOException {
        int port = Programs.freePort();
        long job = user.liveCamera(streamOnly(port), ADDRESS);
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        user.page.keyboard().press("1");
        assertThat(user.page.getByText("No picture of").first()).isVisible();
        user.page
                .locator("input[type=file]")
                .setInputFiles(new FilePayload("phone.png", "image/png", photo()));
        Locator given = user.page.getByAltText("Picture that was dropped for");
        assertThat(given).hasJSProperty("naturalWidth", 320);
        assertThat(user.page.getByText("Not live: dropped by Asha Lindqvist")).isVisible();
        user.press("Take it away");
        assertThat(given).hasCount(0);

        assumeTrue(hasFfmpeg(), "this machine has no ffmpeg");
        Process standin =
                Programs.standins(
                        "--device",
                        "compact-ptz-stream",
                        "--bind",
                        ADDRESS,
                        "--visca-ip",
                        "52381",
                        "--rtsp",
                        Integer.toString(port));
        try {
            Locator live = user.page.locator("img[alt^='What ']");
            await().atMost(Duration.ofSeconds(30))
                    .until(
                            () ->
                                    live.isVisible()
                                            && live.evaluate("i => i.naturalWidth").equals(960));
            assertThat(live).hasJSProperty("naturalHeight", 544);
        } finally {
            standin.destroyForcibly();
        }
    }
}
