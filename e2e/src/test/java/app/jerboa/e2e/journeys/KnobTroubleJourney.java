package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Cameras of the live network that do not let us in, show another certificate, or are held. */
class KnobTroubleJourney extends Jerboa {
    private static final String BOX = "127.44.8.61";
    private static final String SHOULDER = "127.44.8.62";
    private static final int ONE_TO_ONE = 5_500;

    private long job;

    private JsonNode camera() {
        return user.send("GET", "/api/jobs/" + job, "").get("devices").get(0);
    }

    private void keep(String password) {
        String path = "/api/jobs/" + job + "/secrets";
        JsonNode row = user.send("GET", path, "").get("secrets").get(0);
        ObjectNode body = (ObjectNode) BrowserUser.json("{\"use\":\"password\"}");
        body.set("id", row.get("id"));
        body.put("deviceId", camera().get("id").asLong());
        body.put("name", row.get("name").asString());
        body.put("value", password);
        Assertions.assertThat(user.send("POST", path, body.toString()).has("version")).isTrue();
    }

    /** A box camera that is told by https alone, at a port that anybody may open. */
    private static String byHttpsAlone(int port) throws IOException {
        String shipped = "core/src/main/resources/profiles/box-camera-network.profile.json";
        ObjectNode profile =
                (ObjectNode) BrowserUser.json(Files.readString(Programs.ROOT.resolve(shipped)));
        profile.put("id", "https-alone-" + port).put("name", "Https alone");
        ArrayNode speaks = profile.putArray("speaks");
        speaks.addObject()
                .put("protocol", "web")
                .put("over", "tcp")
                .put("port", port)
                .put("secured", true)
                .put("twoWay", true)
                .putArray("carries")
                .add("paint");
        onlyByHttp((ArrayNode) profile.get("knobs"));
        onlyByHttp(profile.withArray("verbs"));
        return profile.toString();
    }

    private static void onlyByHttp(ArrayNode told) {
        told.forEach(k -> keepHttp((ArrayNode) k.get("said")));
        for (int i = told.size() - 1; i >= 0; i--) {
            if (told.get(i).get("said").isEmpty()) {
                told.remove(i);
            }
        }
    }

    private static void keepHttp(ArrayNode said) {
        for (int i = said.size() - 1; i >= 0; i--) {
            if (!said.get(i).get("in").asString().equals("http")) {
                said.remove(i);
            }
        }
    }

    private static Process box(int port) {
        return Programs.standins(
                "--device",
                "box-camera-network",
                "--bind",
                BOX,
                "--web",
                Integer.toString(port),
                "--password",
                "right-word");
    }

    @Test
    void aWrongPasswordIsNotTriedAgainAndAnotherCertificateIsAsked() throws IOException {
        int port = Programs.freePort();
        job = user.liveCamera(byHttpsAlone(port), BOX);
        keep("wrong-word");
        Process standin = box(port);
        try {
            user.open(job, "paint");
            Locator trouble = user.page.getByRole(AriaRole.ALERT);
            assertThat(trouble.getByText("did not let us in").first()).isVisible();
            keep("right-word");
            trouble.getByText("Read again").click();
            Locator gain = user.page.locator("[data-knob=gain]");
            assertThat(gain).containsText("reads");
            assertThat(user.page.getByText("did not let us in")).hasCount(0);

            standin.destroyForcibly().onExit().join();
            standin = box(port);
            assertThat(trouble.getByText("shows another certificate")).isVisible();
            assertThat(gain).containsText("not read");
            user.open(job, "prove");
            user.page.getByText("Findings (").first().click();
            Locator changed = user.page.locator("aside [data-code=CERT-CHANGED]");
            assertThat(changed).containsText("shows another certificate than at first sight");
            user.open(job, "paint");
            user.press("Accept its new certificate");
            assertThat(trouble).hasCount(0);
            assertThat(gain).containsText("reads");
            assertThat(user.page.locator("body")).not().containsText("-word");
            user.open(job, "prove");
            assertThat(changed).hasCount(0);
        } finally {
            standin.destroyForcibly();
        }
    }

    /** Another panel, which is let in: it has the one place that there is. */
    private static Socket holding() throws IOException {
        Socket panel =
                await().atMost(Duration.ofSeconds(20))
                        .ignoreExceptions()
                        .until(() -> new Socket(SHOULDER, ONE_TO_ONE), Socket::isConnected);
        say(panel, "{\"sign-in\":{\"user\":\"user\",\"password\":\"factory\"}}");
        Assertions.assertThat(panel.getInputStream().read()).isEqualTo('{');
        return panel;
    }

    private static void say(Socket panel, String line) {
        try {
            panel.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One panel has the one place: we come in through its server, and see what that one turns. */
    @Test
    void aHeldCameraIsReachedThroughItsServerAndPushesWhatOthersTurn() throws Exception {
        job = user.liveCamera("shoulder-camera", SHOULDER);
        keep("factory");
        Process standin =
                Programs.standins(
                        "--device",
                        "shoulder-camera",
                        "--bind",
                        SHOULDER,
                        "--panel-link",
                        Integer.toString(ONE_TO_ONE),
                        "--panel-server",
                        "5501");
        try (Socket panel = holding()) {
            user.open(job, "paint");
            Locator row = user.page.locator("[data-knob='master black']");
            assertThat(row).containsText("reads 0");
            Response read =
                    user.page.waitForResponse(
                            r ->
                                    r.url().endsWith("/told/readings")
                                            && r.text().contains("\"master black\":{\"value\":23"),
                            () -> say(panel, "{\"set\":{\"master-black\":23}}"));
            Assertions.assertThat(read.status()).isEqualTo(200);
            assertThat(row).containsText("reads 23");
        } finally {
            standin.destroyForcibly();
        }
    }
}
