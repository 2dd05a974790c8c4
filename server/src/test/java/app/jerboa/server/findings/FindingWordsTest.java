package app.jerboa.server.findings;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.identity.Aspect;
import app.jerboa.server.words.Words;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FindingWordsTest {
    @Test
    void everyCodeHasItsWords() {
        for (FindingCode code :
                JobFindings.CHECKS.stream().flatMap(d -> d.codes().stream()).toList()) {
            for (String part : new String[] {"what", "why", "source"}) {
                assertThat(FindingWords.text(code.code(), part, Map.of()))
                        .as(code + " " + part)
                        .isNotBlank();
            }
        }
    }

    @Test
    void aFindingWithoutWordsShowsItsCode() {
        assertThat(FindingWords.text("NEW-CODE", "what", Map.of("device", "L1")))
                .isEqualTo("NEW-CODE: {device=L1}");
        assertThat(FindingWords.text("NEW-CODE", "why", Map.of())).isEmpty();
    }

    /** Every key that the core can offer a fix under. */
    @Test
    void everyNumberingThatCanBeTheTruthHasItsWords() {
        assertThat(Aspect.values())
                .allSatisfy(
                        a ->
                                assertThat(
                                                Words.find(
                                                        "fix.agree-"
                                                                + a.name()
                                                                        .toLowerCase(Locale.ROOT)
                                                                        .replace('_', '-'),
                                                        Map.of()))
                                        .isPresent());
    }

    @Test
    void factsStandWhereTheyBelong() {
        String text =
                FindingWords.text(
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
