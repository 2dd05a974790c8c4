package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipFile;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The demo's cabling: its drawing, its sums, its fixes, what it is made of. */
class CablingTest extends RunningServer {
    private Client asha;
    private String job;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        JsonNode view = asha.send("POST", "/api/jobs/demo", Map.of()).json();
        job = "/api/jobs/" + view.get("id").asLong();
    }

    private JsonNode run(String to) {
        return all(asha.get(job + "/cabling").json().get("runs")).stream()
                .filter(r -> r.get("to").asString().equals(to))
                .findFirst()
                .orElseThrow();
    }

    private String path(String to) {
        return job + "/cabling/runs/" + run(to).get("id").asLong();
    }

    private static String result(JsonNode sums, String what) {
        return all(sums).stream()
                .filter(s -> s.get("what").asString().equals(what))
                .findFirst()
                .orElseThrow()
                .get("result")
                .asString();
    }

    /** Takes the fix of that number of every stop, one after the other, until none is left. */
    @Test
    void afterItsFixesNothingStopsTheDemo() {
        List<String> fixed = new ArrayList<>();
        for (int round = 0; round < 12; round++) {
            List<JsonNode> stops =
                    all(asha.get(job).json().get("findings")).stream()
                            .filter(f -> f.get("severity").asString().equals("stop"))
                            .toList();
            if (stops.isEmpty()) {
                break;
            }
            JsonNode fix = stops.get(0).get("fixes").get(0);
            assertThat(fix).as(stops.get(0).get("what").asString()).isNotNull();
            fixed.add(stops.get(0).get("code").asString());
            assertThat(
                            asha.sendText("POST", job + "/changes", fix.get("changes").toString())
                                    .status())
                    .isEqualTo(200);
        }
        assertThat(fixed)
                .containsExactly("ADDR-GAP", "DC-DROP", "ID-DUP", "POE-BUDGET", "VID-FORMAT");
    }

    @Test
    void theDomeHasThreeWaysOut() {
        JsonNode drop =
                all(asha.get(job).json().get("findings")).stream()
                        .filter(f -> f.get("code").asString().equals("DC-DROP"))
                        .findFirst()
                        .orElseThrow();
        assertThat(drop.get("what").asString()).contains("6.8 V reach L13 over 42 m of AWG 24");
        assertThat(all(drop.get("fixes")).stream().map(f -> f.get("label").asString()))
                .containsExactly(
                        "A thicker pair of its own: L13 DC in AWG 16",
                        "A higher voltage, with the step-down at the device",
                        "Feed it where it stands, and take the run away: L13 DC");
    }

    @Test
    void saysStepByStepWhatARunLosesAndWhatIfItWereAnother() {
        String dome = path("L13 DC");
        JsonNode now = asha.get(dome).json();
        assertThat(now.get("texts").get("metres").asString()).isEqualTo("42");
        assertThat(now.get("usualGauge").asInt()).as("what its sums reckon with").isEqualTo(24);
        assertThat(result(now.get("sums"), "Volts at the device")).isEqualTo("6.79 V");
        assertThat(result(now.get("sums"), "Longest that works")).isEqualTo("15.4 m");
        JsonNode raised =
                asha.send("POST", dome + "/what-if", Map.of("texts", Map.of(), "volts", 24)).json();
        assertThat(result(raised.get("sums"), "Volts at the device")).isEqualTo("22.42 V");
        JsonNode shorter =
                asha.send(
                                "POST",
                                dome + "/what-if",
                                Map.of(
                                        "texts",
                                        Map.of("metres", "15", "gauge", "22"),
                                        "volts",
                                        NONE))
                        .json();
        assertThat(result(shorter.get("sums"), "Loop of AWG 22, 15.0 m")).isEqualTo("0.794 Ω");
        assertThat(asha.get(dome).json().get("texts").get("metres").asString()).isEqualTo("42");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "L13 DC | By gauge | longest of each",
                "SDI switcher INPUT 5 | Set while in reach | dial 0, 1080p50",
                "SDI switcher INPUT 5 | Loss | 10.3 dB of 22 dB",
                "L13 RS-485 | Plus to plus | minus to minus",
                "L13 RS-485 | Settings | alike",
                "L11 VISCA IN | Updates | 21.3 a second each",
                "L11 VISCA IN | Leads | 0.0 m slack",
                "L1 LAN | Picture of L1 | rtsp://10.44.8.21/1",
                "Multiview monitor HDMI 1 | Reaches | 15.0 m"
            })
    void eachKindOfRunHasItsOwnSteps(String to, String what, String result) {
        assertThat(result(asha.get(path(to)).json().get("sums"), what)).isEqualTo(result);
    }

    @ParameterizedTest
    @CsvSource({
        "metres, far, 400, text-rejected",
        "gauge, 99, 400, text-rejected",
        "colour, red, 400, text-rejected",
        "cable, hdmi, 400, text-rejected"
    })
    void refusesWhatCannotBe(String field, String text, int status, String code) {
        Answer answer =
                asha.send(
                        "POST",
                        path("L13 DC") + "/what-if",
                        Map.of("texts", Map.of(field, text), "volts", 0));
        assertThat(answer.status()).isEqualTo(status);
        assertThat(answer.code()).isEqualTo(code);
    }

    @Test
    void refusesAJoinWithItsReason() {
        JsonNode run = asha.get(path("L1 LAN")).json();
        Map<String, Object> edit = new HashMap<>();
        edit.put("item", "run");
        edit.put("id", run.get("id").asLong());
        edit.put("field", "fromPort");
        edit.put("before", "PORT 1");
        edit.put("after", "PORT 2");
        Answer answer =
                asha.send(
                        "POST",
                        job + "/changes",
                        Map.of("adds", List.of(), "edits", List.of(edit), "removes", List.of()));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("detail").asString())
                .contains("another run is in one of these sockets already");
    }

    @Test
    void offersEverySocketWithWhatSpeaksAgainstIt() {
        long camera = run("L1 LAN").get("id").asLong();
        long device =
                asha.get(job + "/cabling/runs/" + camera).json().get("to").get("device").asLong();
        List<JsonNode> joins =
                all(asha.get(job + "/cabling/joins?device=" + device + "&port=HDMI").json());
        assertThat(joins)
                .anyMatch(
                        j ->
                                j.get("name").asString().equals("Converter 2")
                                        && j.get("refusal").asString().isEmpty())
                .anyMatch(
                        j ->
                                j.get("name").asString().equals("L2")
                                        && j.get("refusal").asString().contains("both give"));
    }

    @Test
    void connectsAllOfAnEmptyPlanOnceAndThenNothing() {
        List<Map<String, Object>> removes =
                all(asha.get(job + "/cabling").json().get("runs")).stream()
                        .map(r -> Map.<String, Object>of("item", "run", "id", r.get("id").asLong()))
                        .toList();
        int drawn = removes.size();
        asha.send(
                "POST",
                job + "/changes",
                Map.of("adds", List.of(), "edits", List.of(), "removes", removes));
        Answer proposal = asha.get(job + "/cabling/missing");
        assertThat(proposal.json().get("adds").size()).isGreaterThanOrEqualTo(drawn - 2);
        assertThat(asha.sendText("POST", job + "/changes", proposal.text()).status())
                .isEqualTo(200);
        assertThat(asha.get(job + "/cabling/missing").json().get("adds").size()).isZero();
        assertThat(all(asha.get(job + "/cabling").json().get("runs")))
                .allMatch(r -> r.get("refusal").asString().isEmpty())
                .anyMatch(r -> r.get("from").asString().equals("L10 VISCA OUT"));
    }

    @Test
    void drawsEveryRunOnceAndMarksTheTroubled() throws Exception {
        JsonNode page = asha.get(job + "/cabling").json();
        List<JsonNode> shapes = all(page.get("drawing").get("shapes"));
        for (JsonNode run : all(page.get("runs"))) {
            long id = run.get("id").asLong();
            assertThat(shapes).as("%s", run).anyMatch(s -> s.get("run").asLong() == id);
        }
        long dome = run("L13 DC").get("id").asLong();
        assertThat(shapes)
                .anyMatch(
                        s ->
                                s.get("run").asLong() == dome
                                        && s.get("tone").asString().equals("stop")
                                        && s.get("text").asString().startsWith("▲"));
        double width = page.get("drawing").get("width").asDouble();
        assertThat(shapes)
                .allMatch(s -> s.get("x").asDouble() >= 0 && s.get("x").asDouble() <= width);
        String svg = asha.get(job + "/cabling/drawing.svg").text();
        var document =
                DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
        assertThat(document.getDocumentElement().getTextContent())
                .contains("Quillhaven Curling Hall: cabling", "Programme monitor");
    }

    @Test
    void printsTheDrawingAsPdf() throws Exception {
        try (var pdf = Loader.loadPDF(asha.getBytes(job + "/cabling/drawing.pdf"))) {
            String text = new PDFTextStripper().getText(pdf);
            assertThat(text)
                    .contains("page 1 of " + pdf.getNumberOfPages())
                    .contains("PoE switch", "Chains, OUT to IN", "12.0 V -> 6.8 V");
        }
    }

    @Test
    void listsWhatToCutAndToBuy() throws Exception {
        JsonNode materials = asha.get(job + "/cabling/materials").json();
        List<JsonNode> list = all(materials.get("list"));
        JsonNode coax =
                list.stream()
                        .filter(m -> m.get("name").asString().equals("RG-6 cable"))
                        .findFirst()
                        .orElseThrow();
        // 38 + 44 + 36 + 52 + 41 + 57 + 24 + 28 + 9 m and 10 %.
        assertThat(coax.get("needed").asDouble()).isCloseTo(361.9, within(1e-9));
        // 361.9 m from reels of 305 m.
        assertThat(
                        all(materials.get("cuts")).stream()
                                .filter(c -> c.get("material").asString().equals("RG-6 cable"))
                                .mapToInt(c -> c.get("reel").asInt())
                                .max())
                .hasValue(2);
        assertThat(list).anyMatch(m -> m.get("name").asString().equals("serial lead 20 m"));
        assertThat(materials.get("unpriced").asInt()).isEqualTo(list.size());
        String csv = asha.get(job + "/cabling/materials.csv").text();
        assertThat(csv).contains("RG-6 cable,m,361.90,0.00,361.90,,");
        Path file = Files.createTempFile("materials", ".xlsx");
        Files.write(file, asha.getBytes(job + "/cabling/materials.xlsx"));
        try (ZipFile zip = new ZipFile(file.toFile())) {
            var sheet = zip.getInputStream(zip.getEntry("xl/worksheets/sheet1.xml"));
            assertThat(new String(sheet.readAllBytes(), StandardCharsets.UTF_8))
                    .contains("<v>361.9");
            assertThat(zip.getEntry("xl/worksheets/sheet2.xml")).isNotNull();
        }
        Files.delete(file);
    }

    @Test
    void aPriceGivesACost() {
        asha.send(
                "POST",
                job + "/changes",
                Map.of(
                        "adds",
                        List.of(
                                Map.of(
                                        "item",
                                        "price",
                                        "id",
                                        -1,
                                        "values",
                                        Map.of(
                                                "material", "RG-6 cable",
                                                "hundredths", "120"))),
                        "edits",
                        List.of(),
                        "removes",
                        List.of()));
        // 361.9 m at 1.20.
        assertThat(asha.get(job + "/cabling/materials").json().get("cost").asLong())
                .isEqualTo(43428);
    }

    @Test
    void showsTheUsualLeadsPinToPin() {
        JsonNode leads = asha.get("/api/leads").json();
        assertThat(all(leads).stream().map(l -> l.get("id").asString()))
                .contains("controller-to-camera", "cascade", "t568a", "t568b");
        assertThat(leads.get(1).get("wires").get(2).toString())
                .contains("\"one\":\"3\"", "\"other\":\"5\"");
    }
}
