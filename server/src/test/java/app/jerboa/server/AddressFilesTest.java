package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.LuminanceSource;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.dhatim.fastexcel.Workbook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Files of the address plan, judged by the programs they are for; sheets that come back. */
class AddressFilesTest extends RunningServer {
    private Client asha;
    private String job;
    @TempDir Path folder;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        JsonNode view = asha.send("POST", "/api/jobs/demo", Map.of()).json();
        job = "/api/jobs/" + view.get("id").asLong();
    }

    private JsonNode device(String name) {
        return all(asha.get(job).json().get("devices")).stream()
                .filter(d -> d.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** A program's own words, and that it was content. */
    private String judged(String... command) throws Exception {
        Process program = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(program.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(program.waitFor(60, TimeUnit.SECONDS)).as(said).isTrue();
        assertThat(program.exitValue()).as(said).isZero();
        return said;
    }

    private Path kept(String path, String name) throws Exception {
        Path file = folder.resolve(name);
        Files.write(file, asha.getBytes(job + path));
        return file;
    }

    /** The real servers read them in their check modes; every address of the plan is in. */
    @ParameterizedTest
    @CsvSource({
        "dnsmasq, /usr/sbin/dnsmasq --test --conf-file=FILE",
        "dhcpd, /usr/sbin/dhcpd -t -cf FILE",
        "kea, /usr/sbin/kea-dhcp4 -t FILE"
    })
    void reservationsPassTheServersThemselves(String server, String command) throws Exception {
        // What people type must not become anything else in somebody's configuration.
        long first = device("L1").get("id").asLong();
        asha.send(
                "POST",
                job + "/changes",
                edit("device", first, "name", "L1", "L1\"; } evil, {\\ =x #"));
        Path file = kept("/reservations/" + server, server + ".conf");
        judged(command.replace("FILE", file.toString()).split(" ", -1));
        String text = Files.readString(file);
        assertThat(text).contains("l1-evil-x").doesNotContain("evil,", "L1\"");
        List<JsonNode> planned =
                all(asha.get(job).json().get("devices")).stream()
                        .filter(d -> !d.get("address").asString().isEmpty())
                        .toList();
        assertThat(planned).hasSizeGreaterThan(15);
        for (JsonNode d : planned) {
            if (!d.get("mac").asString().isEmpty()) {
                assertThat(text).contains(d.get("mac").asString(), d.get("address").asString());
            }
        }
    }

    @Test
    void theWorkbookOpensInASpreadsheetAndHoldsNothingThatRuns() throws Exception {
        long first = device("L1").get("id").asLong();
        asha.send("POST", job + "/changes", edit("device", first, "name", "L1", "=1+1"));
        Path xlsx = kept("/addresses.xlsx", "sheet.xlsx");
        judged(
                "soffice",
                "-env:UserInstallation=file://" + folder.resolve("profile"),
                "--headless",
                "--convert-to",
                "csv",
                "--outdir",
                folder.toString(),
                xlsx.toString());
        String csv = Files.readString(folder.resolve("sheet.csv"), StandardCharsets.ISO_8859_1);
        assertThat(csv).contains("=1+1", "10.44.8.21", "planned address");
        assertThat(csv.lines().count())
                .isEqualTo(asha.get(job + "/addresses.csv").text().lines().count());
        assertThat(asha.get(job + "/addresses.csv").text()).contains("'=1+1").doesNotContain(",=1");
    }

    @Test
    void namesForComputers() {
        assertThat(asha.get(job + "/hosts").text())
                .contains("10.44.8.21\tl1\n", "10.44.8.254\thouse-router\n");
        assertThat(asha.get(job + "/zone").text())
                .contains("l1\tIN\tA\t10.44.8.21\n")
                .contains("21.8.44.10.in-addr.arpa.\tIN\tPTR\tl1\n");
    }

    @ParameterizedTest
    @CsvSource({"small, 1", "medium, 1", "large, 3"})
    void labelsSayNameAndAddressAndTheirCodeOpensTheDevice(String size, int pages)
            throws Exception {
        try (var pdf = Loader.loadPDF(asha.getBytes(job + "/labels.pdf?size=" + size))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(pages);
            String text = new PDFTextStripper().getText(pdf);
            for (String name : List.of("L1", "IP stick", "House router")) {
                assertThat(text).contains(name, device(name).get("address").asString());
            }
            if (size.equals("large")) {
                BufferedImage page = new PDFRenderer(pdf).renderImageWithDPI(0, 150);
                assertThat(
                                codeOf(
                                        page.getSubimage(
                                                0, 0, page.getWidth() / 2, page.getHeight() / 4)))
                        .endsWith(
                                job.replace("/api", "")
                                        + "/addresses#device-"
                                        + device("L1").get("id"));
            }
        }
        assertThat(asha.get(job + "/labels.pdf?size=huge").code()).isEqualTo("bad-value");
    }

    @Test
    void namesWithAnyAccentStandOnTheLabels() throws Exception {
        long router = device("House router").get("id").asLong();
        asha.send(
                "POST",
                job + "/changes",
                edit("device", router, "name", "House router", "Łąka ž'škola ™ 4×"));
        try (var pdf = Loader.loadPDF(asha.getBytes(job + "/labels.pdf?size=medium"))) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("Łąka ž'škola ™ 4×");
        }
    }

    private static String codeOf(BufferedImage image) throws Exception {
        int[] pixels =
                image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        LuminanceSource source =
                new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels);
        return new QRCodeReader().decode(new BinaryBitmap(new HybridBinarizer(source))).getText();
    }

    @Test
    void theRunSheetOnPaperHasEveryStepAndNoSecret() throws Exception {
        fixAddresses();
        asha.send(
                "POST",
                job + "/secrets/make",
                Map.of("deviceIds", List.of(device("L1").get("id"))));
        try (var pdf = Loader.loadPDF(asha.getBytes(job + "/bring-up/sheet.pdf"))) {
            String text = new PDFTextStripper().getText(pdf).replace("\n", " ");
            assertThat(text)
                    .contains("Give L1 its planned address", "Address: 10.44.8.21")
                    .contains("CAUTION: The head moves when it gets power")
                    .contains("Put the cameras into IP stick");
            JsonNode secret =
                    all(asha.get(job + "/secrets").json().get("secrets")).stream()
                            .filter(s -> s.get("id").asLong() > 0)
                            .findFirst()
                            .orElseThrow();
            String value =
                    asha.send("POST", job + "/secrets/" + secret.get("id") + "/show", Map.of())
                            .json()
                            .get("value")
                            .asString();
            assertThat(text).doesNotContain(value);
        }
    }

    private void fixAddresses() {
        JsonNode gap =
                all(asha.get(job).json().get("findings")).stream()
                        .filter(f -> f.get("code").asString().equals("ADDR-GAP"))
                        .findFirst()
                        .orElseThrow();
        String changes = gap.get("fixes").get(0).get("changes").toString();
        assertThat(asha.sendText("POST", job + "/changes", changes).status()).isEqualTo(200);
    }

    @Test
    void aSheetComesBackAndIsTakenOverRowByRow() throws Exception {
        String csv = asha.get(job + "/addresses.csv").text();
        JsonNode same = asha.sendText("POST", job + "/addresses/compare", csv).json();
        assertThat(all(same.get("rows"))).hasSizeGreaterThan(15);
        assertThat(all(same.get("rows")))
                .allMatch(r -> r.get("edits").isEmpty() && r.get("trouble").asString().isEmpty());
        JsonNode other =
                asha.sendText(
                                "POST",
                                job + "/addresses/compare",
                                "name;ip\nL2;10.44.8.52\nL3;nonsense\nstranger;10.44.8.7\n")
                        .json();
        assertThat(all(other.get("rows")).get(0).get("edits").get(0).get("after").asString())
                .isEqualTo("10.44.8.52");
        assertThat(all(other.get("rows")).get(1).get("trouble").asString()).contains("nonsense");
        assertThat(all(other.get("rows")).get(2).get("deviceId").asLong()).isZero();
    }

    @Test
    void aWorkbookIsReadAndADamagedOneRefused() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "test", "1.0")) {
            var sheet = book.newWorksheet("Any");
            List<List<Object>> rows =
                    List.of(
                            List.of("MAC", "Address"),
                            List.of(device("L2").get("mac").asString(), "10.44.8.52"));
            for (int r = 0; r < rows.size(); r++) {
                for (int c = 0; c < 2; c++) {
                    sheet.value(r, c, rows.get(r).get(c).toString());
                }
            }
        }
        Answer answer = asha.sendBytes(job + "/addresses/compare", out.toByteArray());
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        JsonNode seen = answer.json();
        assertThat(seen.get("rows").get(0).get("edits").get(0).get("after").asString())
                .isEqualTo("10.44.8.52");
        for (byte[] bad :
                List.of(
                        new byte[] {'P', 'K', 3, 4, 9, 9},
                        "no,heads".getBytes(StandardCharsets.UTF_8))) {
            assertThat(asha.sendBytes(job + "/addresses/compare", bad).status()).isEqualTo(400);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "start, 10.44.8.41, 10.44.8.41",
        "practice, reservation, 10.44.8.21",
        "start, 10.9.9.9, bad-value",
        "practice, magic, bad-value",
        "start, 10.44.8.x, text-rejected"
    })
    void whatIfs(String what, String value, String expected) {
        Map<String, Object> body =
                new java.util.HashMap<>(
                        Map.of(
                                "start",
                                "",
                                "subnet",
                                0,
                                "cidr",
                                "",
                                "gateway",
                                "",
                                "practice",
                                ""));
        body.put(what, value);
        Answer answer = asha.send("POST", job + "/address-plan/what-if", body);
        assertThat(answer.status() == 200 ? answer.json().get("first").asString() : answer.code())
                .isEqualTo(expected);
        assertThat(asha.get(job).json().get("version").asLong()).isEqualTo(1);
    }

    @Test
    void anotherSubnetIsTakenOverAsOneStep() {
        long subnet = asha.get(job).json().get("subnet").get("id").asLong();
        JsonNode result =
                asha.send(
                                "POST",
                                job + "/address-plan/what-if",
                                Map.of(
                                        "start",
                                        "",
                                        "subnet",
                                        subnet,
                                        "cidr",
                                        "10.20.0.0/22",
                                        "gateway",
                                        "10.20.0.1",
                                        "practice",
                                        ""))
                        .json();
        assertThat(result.get("first").asString()).startsWith("10.20.0.");
        asha.sendText("POST", job + "/changes", result.get("changes").toString());
        List<String> codes = new ArrayList<>();
        JsonNode then = asha.get(job).json();
        all(then.get("findings")).forEach(f -> codes.add(f.get("code").asString()));
        assertThat(codes).doesNotContain("ADDR-OUTSIDE", "ADDR-MASK", "ADDR-GATEWAY", "ADDR-GAP");
        assertThat(then.get("subnet").get("cidr").asString()).isEqualTo("10.20.0.0/22");
        asha.send("POST", job + "/undo", Map.of());
        assertThat(device("L1").get("address").asString()).isEqualTo("10.44.8.21");
    }
}
