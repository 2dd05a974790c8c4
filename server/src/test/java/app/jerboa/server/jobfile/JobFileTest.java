package app.jerboa.server.jobfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.RandomJobs;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.server.logbook.LogEntry;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Matcher;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The job file: loss-free, as its schema says, and deaf to hostile files. */
class JobFileTest {
    private static final Path PUBLISHED = Path.of("../docs/formats/jerboa-job.schema.json");
    private static final JobEditor EDITOR = new JobEditor(RandomJobs.SHELF);
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final List<LogEntry> LOG =
            List.of(
                    line(
                            "2026-03-14T09:30:00.123456Z",
                            "note",
                            "Ladder <b>left</b> at the door",
                            List.of(3L)),
                    line(
                            "2026-03-14T09:31:00Z",
                            "change",
                            "L1: address none to 10.44.8.21",
                            List.of()));

    private static LogEntry line(String at, String kind, String text, List<Long> devices) {
        return new LogEntry(
                1,
                OffsetDateTime.parse(at),
                "Asha Lindqvist",
                kind,
                text,
                devices,
                Optional.empty(),
                false);
    }

    private static byte[] file(long seed) {
        return JobFileWriter.write(EDITOR.read(new RandomJobs(seed).items()), LOG);
    }

    private static String text(long seed) {
        return new String(file(seed), StandardCharsets.UTF_8);
    }

    /** Reads the log lines back as the database would hand them out. */
    private static List<LogEntry> log(JobFile read) {
        List<LogEntry> lines = new ArrayList<>();
        for (JsonNode n : JSON.readTree(read.logJson())) {
            List<Long> devices = new ArrayList<>();
            n.get("devices").forEach(d -> devices.add(d.asLong()));
            lines.add(
                    line(
                            n.get("at").asString(),
                            n.get("kind").asString(),
                            n.get("text").asString(),
                            devices));
        }
        return lines;
    }

    @Test
    void outInAndOutAgainGivesTheSameBytes() {
        for (long seed = 0; seed < 200; seed++) {
            byte[] out = file(seed);
            JobFile read = JobFileReader.read(out, RandomJobs.SHELF);
            Job job = EDITOR.read(read.items());
            assertThat(job)
                    .as("seed %d", seed)
                    .isEqualTo(EDITOR.read(new RandomJobs(seed).items()));
            assertThat(JobFileWriter.write(job, log(read))).isEqualTo(out);
        }
    }

    @Test
    void thePublishedSchemaIsTheFieldsAndEveryFileKeepsToIt() throws IOException {
        String schema = JobFileSchema.schema().toPrettyString() + "\n";
        if (System.getenv("JERBOA_WRITE_OPENAPI") != null) {
            Files.writeString(PUBLISHED, schema);
        }
        assertThat(Files.readString(PUBLISHED)).isEqualTo(schema);
        Schema checker =
                SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                        .getSchema(JSON.readTree(schema));
        for (long seed = 0; seed < 50; seed++) {
            assertThat(checker.validate(JSON.readTree(file(seed)))).as("seed %d", seed).isEmpty();
        }
        String wrong = text(1).replaceFirst("\"units\" : \"ft\"", "\"units\" : \"mm\"");
        assertThat(checker.validate(JSON.readTree(wrong))).isNotEmpty();
    }

    /** What is put in place of what, and where the refusal points. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "jerboa-job|other-job|/format",
                "\"version\" : 1|\"version\" : 2|/version",
                "\"version\" : 1|\"version\" : \"1\"|/version",
                "\"units\" : \"ft\"|\"units\" : 3|/site/units",
                "\"units\" : \"ft\"|\"units\" : \"mm\"|/site/units",
                "\"units\" : \"ft\"|\"units\" : \"ft\", \"x\" : 1|/site/x",
                "\"units\" : \"ft\"|\"units\" : \"ft\", \"units\" : \"m\"|line",
                "\"subnets\"|\"subnetz\"|/subnetz",
                "\"id\" : [0-9]+,|\"id\" : 1,|/id",
                "\"id\" : [0-9]+,|\"id\" : 2.5,|/site/id",
                "\"id\" : [0-9]+,|\"id\" : -2,|/site/id",
                "\"id\" : [0-9]+,|\"id\" : 99999999999999999999,|/site/id",
                "\"profile\" : \"[^\"]*\"|\"profile\" : \"unknown\"|/devices/0/profile",
                "\"name\" : \"[^\"]*\",\\s+\"profile\"|\"name\" : \"<img src=x>\", \"profile\"|/devices/0/name",
                "\"address\" : \"[^\"]*\"|\"address\" : \"10.44.8.300\"|/devices/0/address",
                "\"address\" : \"[^\"]*\"|\"address\" : null|/devices/0/address",
                "\"reserved\" : [a-z]*|\"reserved\" : \"true\"|/devices/0/reserved",
                "\"prefix\" : [0-9]*|\"prefix\" : 31|/devices/0/prefix",
                "\"camera\" : [0-9]*|\"camera\" : 9999|/lines/0/camera",
                "\"kind\" : \"note\"|\"kind\" : \"people\"|/log/0/kind",
                "2026-03-14T09:31:00Z|yesterday|/log/1/at",
                "\"log\" : \\[|\"log\" : 7, \"logs\" : [|/logs"
            })
    void refusesWithThePlace(String what, String by, String place) {
        String good = text(1);
        String bad = good.replaceFirst(what, Matcher.quoteReplacement(by));
        assertThat(bad).as("the case finds its text").isNotEqualTo(good);
        assertThatThrownBy(
                        () ->
                                JobFileReader.read(
                                        bad.getBytes(StandardCharsets.UTF_8), RandomJobs.SHELF))
                .isInstanceOfSatisfying(
                        FileRejected.class,
                        e -> assertThat(e.place()).as(e.getMessage()).contains(place));
    }

    @Test
    void everyCutIsRefusedAndNoDamageEscapes() {
        byte[] good = file(3);
        for (int cut = 0; cut < good.length - 1; cut += 7) {
            byte[] head = Arrays.copyOf(good, cut);
            assertThatThrownBy(() -> JobFileReader.read(head, RandomJobs.SHELF))
                    .isInstanceOf(FileRejected.class);
        }
        Random random = new Random(1);
        for (int i = 0; i < 3000; i++) {
            byte[] damaged = good.clone();
            damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
            try {
                EDITOR.read(JobFileReader.read(damaged, RandomJobs.SHELF).items());
            } catch (FileRejected refused) {
                assertThat(refused.getMessage()).isNotBlank();
            }
        }
    }

    @Test
    void deepNestingIsRefusedWithoutGoingDeep() {
        String deep = "{\"site\":" + "[".repeat(200_000);
        assertThatThrownBy(
                        () ->
                                JobFileReader.read(
                                        deep.getBytes(StandardCharsets.UTF_8), RandomJobs.SHELF))
                .isInstanceOf(FileRejected.class);
    }
}
