package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What went over the wires: followed, held, filtered, taken along, and added to by a lead. */
class WireLogJourney extends Jerboa {
    private static long driven() {
        long job = user.setHall();
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        user.page.keyboard().press("1");
        assertThat(user.page.locator("[data-reading=Pan]")).isVisible();
        pushUntil(
                "ArrowRight",
                () -> user.page.getByLabel("Wire log").innerText().contains("drive pan"));
        assertThat(user.page.getByText("Stopped and seen standing still")).isVisible();
        return job;
    }

    private static Locator frames() {
        return user.page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Frames"));
    }

    @Test
    void framesAreFollowedHeldFilteredAndTakenAlong() throws Exception {
        long job = driven();
        user.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All of it"))
                .click();
        assertThat(frames()).containsText("drive pan");
        assertThat(frames()).not().containsText("ask zoom position");

        user.page.getByLabel("with position read-back").check();
        assertThat(frames()).containsText("ask zoom position");
        user.press("Pause (P)");
        user.page.getByLabel("Words or octets").fill("06 01");
        assertThat(frames()).containsText("drive pan");
        assertThat(frames()).not().containsText("ask zoom");
        frames().getByRole(AriaRole.BUTTON).first().click();
        assertThat(frames()).containsText("after this server started");
        user.page.getByLabel("Words or octets").fill("nothing like it");
        assertThat(user.page.getByText("No frame fits")).isVisible();

        capturedAsSent(job);
        assertThat(text("/api/jobs/" + job + "/wire/log.csv"))
                .startsWith("time,seconds,device,direction,octets,meaning,path")
                .contains(",L1,sent,")
                .contains("drive pan");
    }

    private static String text(String path) {
        return user.page.request().get(programs.url(path)).text();
    }

    /**
     * Another program reads the capture: addresses, ports, times and payloads are those of the log.
     */
    private static void capturedAsSent(long job) throws IOException, InterruptedException {
        Path file = Programs.scratch("wire.pcapng");
        byte[] capture =
                user.page
                        .request()
                        .get(programs.url("/api/jobs/" + job + "/wire/capture.pcapng"))
                        .body();
        Files.write(file, capture);
        List<String> read =
                lines(
                        "tshark",
                        "-r",
                        file.toString(),
                        "-T",
                        "fields",
                        "-E",
                        "separator=;",
                        "-o",
                        "udp.check_checksum:TRUE",
                        "-e",
                        "frame.time_epoch",
                        "-e",
                        "ip.src",
                        "-e",
                        "udp.srcport",
                        "-e",
                        "ip.dst",
                        "-e",
                        "udp.dstport",
                        "-e",
                        "udp.payload",
                        "-e",
                        "udp.checksum.status",
                        "-e",
                        "ip.checksum.status",
                        "-e",
                        "frame.comment");
        JsonNode log =
                user.send("GET", "/api/jobs/" + job + "/wire?polling=true", "").get("frames");
        JsonNode drive = null;
        for (JsonNode f : log) {
            if (f.get("words").asString().startsWith("drive pan")) {
                drive = f;
                break;
            }
        }
        assertThat(drive).isNotNull();
        String octets =
                drive.get("hex").asString().replace(" ", "").toLowerCase(java.util.Locale.ROOT);
        String words = drive.get("words").asString();
        String path = drive.get("path").asString();
        String line = read.stream().filter(l -> l.contains(octets)).findFirst().orElseThrow();
        String[] cells = line.split(";", -1);
        assertThat("UDP " + cells[1] + ":" + cells[2] + " - " + cells[3] + ":" + cells[4])
                .isEqualTo(path);
        assertThat(cells[6]).as("UDP checksum good").isEqualTo("1");
        assertThat(cells[8]).isEqualTo(words);
        String second = drive.get("at").asString();
        long epoch = java.time.Instant.parse(second).getEpochSecond();
        assertThat(cells[0]).startsWith(Long.toString(epoch));
        assertThat(read).allMatch(l -> !l.contains("Malformed"));
    }

    private static List<String> lines(String... command) throws IOException, InterruptedException {
        Process process =
                new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        String all = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).isZero();
        return all.lines().toList();
    }

    @Test
    void aLeadTypesAFrameAndSeesFirstWhatItDoes() {
        long job = user.setHall();
        user.open(job, "wire");
        assertThat(user.page.getByText("Nothing has gone out or come in yet")).isVisible();
        user.press("Type a frame …");
        Locator form =
                user.page.getByRole(
                        AriaRole.FORM, new Page.GetByRoleOptions().setName("Type a frame"));
        Locator octets = form.getByLabel("Octets in pairs");
        octets.fill("81 01 06 01 18 14 02 03 FF");
        user.press("What is it?");
        assertThat(form).containsText("drive pan 24, tilt 0");
        assertThat(form).containsText("It moves the head");
        assertThat(user.button("Send it")).isHidden();

        octets.fill("81 01 04");
        user.press("What is it?");
        assertThat(form).containsText("ends with the only FF");

        octets.fill("81 09 04 38 FF");
        user.press("What is it?");
        assertThat(form).containsText("It asks something and changes nothing");
        user.press("Send it");
        assertThat(form).containsText(Pattern.compile("Answer: value 2"));
        assertThat(user.page.locator("footer")).containsText("Frame 81 09 04 38 FF sent to L1");
        JsonNode moves =
                user.send(
                        "POST",
                        "/api/jobs/" + job + "/wire/frame",
                        "{\"device\":" + user.device(job, "L1") + ",\"hex\":\"81 01 06 04 FF\"}");
        assertThat(moves.get("code").asString()).isEqualTo("not-from-here");
        assertThat(BrowserUser.json(programs.rig("GET", "/halls/" + job, "")).toString())
                .doesNotContain("\"homing\":true");
    }
}
