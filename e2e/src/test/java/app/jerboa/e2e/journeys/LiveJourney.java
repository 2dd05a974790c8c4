package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The live network: nine stand-ins on addresses that a job plans, driven from the desk. */
class LiveJourney extends Jerboa {
    private static final byte[] WHERE = {(byte) 0x81, 0x09, 0x06, 0x12, (byte) 0xFF};
    private static final int RAW_PORT = 1259;

    private static Process standins;

    @BeforeAll
    static void nineHeads() throws IOException {
        standins =
                Programs.standins(
                        "--device", "ceiling-ptz", "--bind", "127.44.8.21", "--count", "9");
        await().atMost(Duration.ofSeconds(20)).until(() -> pan(9) == 0);
    }

    @AfterAll
    static void end() {
        standins.destroyForcibly();
    }

    /** Asked by this test itself, over the other port of the head; -9999 for no answer. */
    private static int pan(int line) throws IOException {
        try (DatagramSocket socket = new DatagramSocket()) {
            socket.setSoTimeout(200);
            InetAddress at = InetAddress.getByName("127.44.8." + (20 + line));
            socket.send(new DatagramPacket(WHERE, WHERE.length, at, RAW_PORT));
            DatagramPacket answer = new DatagramPacket(new byte[32], 32);
            socket.receive(answer);
            byte[] b = answer.getData();
            return (short) ((b[2] & 15) << 12 | (b[3] & 15) << 8 | (b[4] & 15) << 4 | b[5] & 15);
        } catch (java.net.SocketTimeoutException silent) {
            return -9999;
        }
    }

    private static long nineCameras() {
        long job =
                user.send(
                                "POST",
                                "/api/jobs",
                                """
                                {"name":"Nine heads","units":"m","cidr":"127.44.8.0/24","gateway":"127.44.8.254"}
                                """)
                        .get("id")
                        .asLong();
        user.send("POST", "/api/jobs/" + job + "/kit", "{\"profile\":\"ceiling-ptz\",\"count\":9}");
        int line = 1;
        for (JsonNode d : user.send("GET", "/api/jobs/" + job, "").get("devices")) {
            plan(job, d, "127.44.8." + (20 + line++));
        }
        return job;
    }

    private static void plan(long job, JsonNode device, String address) {
        Map<String, Object> edit =
                Map.of(
                        "item",
                        "device",
                        "id",
                        device.get("id").asLong(),
                        "field",
                        "address",
                        "before",
                        device.get("address").asString(),
                        "after",
                        address);
        if (!device.get("address").asString().equals(address)) {
            user.send(
                    "POST",
                    "/api/jobs/" + job + "/changes",
                    BrowserUser.changes(List.of(), List.of(edit)));
        }
    }

    private static void take(int line) {
        Integer.toString(line).chars().forEach(c -> user.page.keyboard().press("" + (char) c));
    }

    private static void insistOnTaken(int line) {
        assertThat(
                        user.page.getByRole(
                                AriaRole.BUTTON, new Page.GetByRoleOptions().setPressed(true)))
                .containsText(Integer.toString(line));
    }

    private static void openDesk(long job) {
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
    }

    @Test
    void nineHeadsAreDrivenOverTheLiveNetwork() throws IOException {
        long job = nineCameras();
        openDesk(job);
        take(1);
        assertThat(user.page.getByText("No network is chosen for this job")).isVisible();

        user.button("No network chosen").click();
        assertThat(user.button("Send commands to the live network")).isDisabled();
        user.page.getByLabel("I may move these heads now").check();
        user.press("Send commands to the live network");
        assertThat(
                        user.page.getByRole(
                                AriaRole.HEADING,
                                new Page.GetByRoleOptions()
                                        .setName("Commands go to: Live network")))
                .isVisible();
        user.press("Close");
        assertThat(user.button("Live network")).isVisible();
        assertThat(user.page.locator("footer")).containsText("Commands go to: Live network");
        take(1);
        user.press("Clear at all 9 that can be driven");
        assertThat(user.page.getByText("Is the place of")).isHidden();

        for (int line = 1; line <= 9; line++) {
            int head = line;
            take(line);
            insistOnTaken(line);
            pushUntil("ArrowRight", () -> pan(head) > 20);
            insistOnSeenStanding();
            int stood = pan(line);
            assertThat(user.page.locator("[data-reading=Pan]")).containsText(stood + " counts");
            for (int other = line + 1; other <= 9; other++) {
                int stands = other;
                await().untilAsserted(() -> assertThat(pan(stands)).as("L%d", stands).isZero());
            }
        }
    }

    /**
     * A lead comes to an adapter at this machine: the chain is driven over its serial port, and no
     * serial server is needed for it.
     */
    @Test
    void aChainIsDrivenOverThisMachinesOwnPort() throws IOException {
        int port = Programs.freePort();
        Process heads =
                Programs.standins(
                        "--device",
                        "ceiling-ptz-serial",
                        "--bind",
                        "127.44.8.41",
                        "--serial-tcp",
                        "" + port,
                        "--chain",
                        "3");
        Path adapter = Files.createTempDirectory("adapter").resolve("port");
        Process pair =
                new ProcessBuilder(
                                "socat",
                                "pty,raw,echo=0,link=" + adapter,
                                "tcp:127.44.8.41:" + port + ",forever,interval=0.2")
                        .start();
        try {
            await().until(() -> Files.isSymbolicLink(adapter));
            overPort(Files.readSymbolicLink(adapter).toString());
        } finally {
            pair.destroy();
            heads.destroy();
        }
    }

    private static void overPort(String path) {
        long job = user.freshJob();
        user.send("PUT", "/api/jobs/" + job + "/world", "{\"world\":\"live\",\"confirmed\":true}");
        user.clear(job, true);
        for (JsonNode d : user.send("GET", "/api/jobs/" + job, "").get("devices")) {
            if (d.get("name").asString().equals("Serial server")) {
                plan(job, d, "");
            }
        }
        openDesk(job);
        take(10);
        assertThat(user.page.getByText("choose a serial port of this machine").first()).isVisible();
        user.button("Live network").click();
        user.page.getByLabel("Serial port", new Page.GetByLabelOptions().setExact(true)).fill(path);
        user.press("Use this port");
        assertThat(user.page.getByText("They are reached through " + path)).isVisible();
        user.press("Close");
        take(10);
        assertThat(user.page.getByText(path + " also takes the lead of L13,")).isVisible();
        user.press("The lead of L10 is on " + path + " now");
        assertThat(user.page.getByText("VISCA on the chain at " + path + " of this machine"))
                .isVisible();
        assertThat(user.page.locator("[data-reading=Pan]")).containsText("0 counts");
        Pattern turned = Pattern.compile("[1-9][0-9]+ counts");
        pushUntil(
                "ArrowRight",
                () -> turned.matcher(user.page.locator("[data-reading=Pan]").innerText()).find());
        insistOnSeenStanding();
        take(13);
        assertThat(user.page.getByText(path + " also takes the lead of L10, L11, L12,"))
                .isVisible();
        assertThat(user.page.getByText("The lead of L13 is on " + path + " now")).isVisible();
    }

    /**
     * Whatever a plan says: an address outside the ranges gets nothing, and so does a neighbour.
     */
    @Test
    void whatIsNotAllowedIsNotContacted() {
        long job = nineCameras();
        JsonNode first = user.send("GET", "/api/jobs/" + job, "").get("devices").get(0);
        plan(job, first, "127.45.8.21");
        user.send("PUT", "/api/jobs/" + job + "/world", "{\"world\":\"live\",\"confirmed\":true}");
        openDesk(job);
        take(1);
        assertThat(user.page.getByRole(AriaRole.ALERT))
                .containsText("Nothing was sent to 127.45.8.21: 127.45.8.21 is in no");
        String refused = "Nothing was sent to 127.45.8.21";
        take(1);
        await().atMost(Duration.ofSeconds(5)).until(() -> told(job, refused) > 0);
        assertThat(told(job, refused)).as("each address once an hour").isEqualTo(1);
        take(2);
        insistOnTaken(2);
        user.send("PUT", "/api/jobs/" + job + "/world", "{\"world\":\"\",\"confirmed\":false}");
        assertThat(user.page.getByText("The commands of this job go somewhere else now"))
                .isVisible();
        take(2);
        assertThat(user.page.getByText("No network is chosen for this job")).isVisible();
    }

    /** How often the logbook says so. */
    private static int told(long job, String text) {
        return user.send("GET", "/api/jobs/" + job + "/log", "").toString().split(text, -1).length
                - 1;
    }
}
