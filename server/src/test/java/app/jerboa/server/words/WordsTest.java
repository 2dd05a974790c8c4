package app.jerboa.server.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.cabling.Refusal;
import app.jerboa.core.job.kit.SheetColumn;
import app.jerboa.core.value.Kebab;
import app.jerboa.core.value.Reason;
import app.jerboa.server.change.FieldWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordsTest {
    private static final Path SOURCES = Path.of("src/main/java");

    /** A literal key; in the sums of a run their own short form of it. */
    private static final Pattern SAID =
            Pattern.compile("(?<![.\\w])(Words\\.)?say\\(\\s*\"([\\w.-]+)\"\\s*[,)]");

    /** Not where a part of a key is chosen. */
    private static final Pattern CHOSEN =
            Pattern.compile(
                    "Words\\.say\\(\\s*+(?!\\()[^\";]{1,80}\\?\\s*\"([\\w.-]+)\"\\s*:\\s*"
                            + "\"([\\w.-]+)\"(?=\\s*[,)])");

    private static final Path CORE = Path.of("..", "core", "src", "main", "java");

    private static final Pattern REASON = Pattern.compile("Reason\\.of\\(\\s*\"([\\w.-]+)\"");

    /** No field reaches a person under the name that the code or the file has for it. */
    @Test
    void everyFieldHasAName() {
        for (ItemKind kind : ItemKind.values()) {
            for (Field field : kind.fields()) {
                assertThat(FieldWords.of(field))
                        .as(field.toString())
                        .doesNotContainPattern("[a-z][A-Z]");
            }
        }
        assertThat(FieldWords.of(Field.FROM_PORT)).isEqualTo("first socket");
    }

    /** One of two keys, chosen while it is said: a slip would keep back what follows the words. */
    @Test
    void bothOfTwoSentencesAreInTheCatalogue() throws IOException {
        int chosen = 0;
        for (Path file : sources(SOURCES)) {
            Matcher keys = CHOSEN.matcher(Files.readString(file));
            while (keys.find()) {
                assertThat(Words.keys()).as(file.toString()).contains(keys.group(1), keys.group(2));
                chosen++;
            }
        }
        assertThat(chosen).as("choices found in the sources").isGreaterThan(10);
    }

    @Test
    void whatTheServerSaysIsInTheCatalogue() throws IOException {
        int said = 0;
        for (Path file : sources(SOURCES)) {
            Matcher key = SAID.matcher(Files.readString(file));
            while (key.find()) {
                String whole = (key.group(1) == null ? "sum." : "") + key.group(2);
                assertThat(Words.keys()).as(file.toString()).contains(whole);
                said++;
            }
        }
        assertThat(said).as("sentences found in the sources").isGreaterThan(90);
    }

    /** The core says keys and facts; every reason that it can give has its sentence here. */
    @Test
    void whatTheCoreGivesForAReasonIsInTheCatalogue() throws IOException {
        int given = 0;
        for (Path file : sources(CORE)) {
            Matcher key = REASON.matcher(Files.readString(file));
            while (key.find()) {
                assertThat(Words.keys()).as(file.toString()).contains(key.group(1));
                given++;
            }
        }
        assertThat(given).as("reasons found in the sources").isGreaterThan(40);
        for (Refusal why : Refusal.values()) {
            assertThat(Words.keys()).contains("joined." + Kebab.of(why));
        }
        Stream.of(SheetColumn.values())
                .flatMap(c -> c.field().stream())
                .filter(f -> f != Field.PROFILE)
                .forEach(f -> assertThat(Words.keys()).contains("sheet.no-" + Kebab.of(f)));
    }

    @Test
    void aReasonWithinAReasonIsSaidInIt() {
        Reason inner = Reason.of("text.octet-most");
        assertThat(Words.say(Reason.of("sheet.not-taken", "text", "10.0.0.300", "why", inner)))
                .isEqualTo("\"10.0.0.300\" cannot be taken: each number is 0 to 255");
    }

    private static List<Path> sources(Path root) throws IOException {
        try (Stream<Path> all = Files.walk(root)) {
            return all.filter(f -> f.toString().endsWith(".java")).toList();
        }
    }

    /** Names of the house hold signs that mean something to the formatter. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {"L1 {0}", "L'1", "''", "{", "}", "#", "{device", "«L1»"})
    void factsAreFilledInAsTheyAre(String name) {
        assertThat(Words.say("drive.no-head", Map.of("device", name)))
                .isEqualTo(name + " has no head that could be driven.");
    }

    @Test
    void countsChooseTheirWords() {
        Map<String, Object> facts = Map.of("first", "L1", "last", "L4", "count", 4);
        assertThat(Words.say("change.added.devices", facts))
                .isEqualTo("L1 to L4 added (4 devices)");
        assertThat(Words.say("fix-part.many", Map.of("count", 1_500))).isEqualTo("1,500 changes");
        assertThat(Words.say("check.elsewhere.next"))
                .as("an apostrophe is written twice in the catalogue")
                .startsWith("Set the laptop's address");
    }

    @Test
    void whatIsNotGivenIsBlankAndWhatIsNotWordedIsASlip() {
        assertThat(Words.say("drive.no-head")).isEqualTo(" has no head that could be driven.");
        assertThatThrownBy(() -> Words.say("no.such.key"))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("no.such.key");
        assertThat(Words.find("no.such.key", Map.of())).isEmpty();
    }
}
