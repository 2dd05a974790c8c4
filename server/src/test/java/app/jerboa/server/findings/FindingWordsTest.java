package app.jerboa.server.findings;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.identity.Aspect;
import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import org.junit.jupiter.api.Test;

class FindingWordsTest {
    @Test
    void everyCodeHasItsWords() throws IOException {
        FindingWords words = new FindingWords();
        for (FindingCode code :
                JobFindings.CHECKS.stream().flatMap(d -> d.codes().stream()).toList()) {
            for (String part : new String[] {"what", "why", "source"}) {
                assertThat(words.text(code.code(), part, Map.of()))
                        .as(code + " " + part)
                        .isNotBlank();
            }
        }
    }

    @Test
    void aFindingWithoutWordsShowsItsCode() throws IOException {
        FindingWords words = new FindingWords();
        assertThat(words.text("NEW-CODE", "what", Map.of("device", "L1")))
                .isEqualTo("NEW-CODE: {device=L1}");
        assertThat(words.text("NEW-CODE", "why", Map.of())).isEmpty();
    }

    /** Every key that the core can offer a fix under. */
    @Test
    void everyNumberingThatCanBeTheTruthHasItsWords() throws IOException {
        Properties all = new Properties();
        try (var in = FindingWordsTest.class.getResourceAsStream("/words/findings.properties")) {
            all.load(in);
        }
        assertThat(Aspect.values())
                .allSatisfy(
                        a ->
                                assertThat(all)
                                        .containsKey(
                                                "fix.agree-"
                                                        + a.name()
                                                                .toLowerCase(Locale.ROOT)
                                                                .replace('_', '-')));
    }

    @Test
    void factsStandWhereTheyBelong() throws IOException {
        String text =
                new FindingWords()
                        .text(
                                "ADDR-OUTSIDE",
                                "what",
                                Map.of(
                                        "device",
                                        "L$1",
                                        "address",
                                        "10.44.8.255",
                                        "subnet",
                                        "10.44.8.0/24",
                                        "what",
                                        "broadcast"));
        assertThat(text)
                .isEqualTo("L$1 is planned on 10.44.8.255, the broadcast address of 10.44.8.0/24.");
    }
}
