package app.jerboa.server.findings;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.identity.Aspect;
import app.jerboa.core.job.proof.ProofCodes;
import app.jerboa.core.net.AddressCodes;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class FindingWordsTest {
    @Test
    void everyCodeHasItsWords() {
        for (FindingCode code :
                Stream.concat(
                                JobFindings.CHECKS.stream().flatMap(d -> d.codes().stream()),
                                ProofCodes.ALL.stream())
                        .toList()) {
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

    /** A fix may name what its finding does not: a controller that was renamed, say. */
    @Test
    void wordsAreKeptWhileWhatTheyNameIsCalledTheSame() {
        DeviceId camera = new DeviceId(7);
        Edit edit = Edit.of(camera, Field.FITTED, "", "9");
        Finding finding =
                Finding.of(AddressCodes.ALL.get(0), camera, Field.ADDRESS, Map.of())
                        .withFixes(List.of(Fix.editing("fit", List.of(edit))));
        FindingWords words = new FindingWords();
        FindingBody first = words.words(finding, Map.of(7L, "L1", 9L, "Lens")::get).body();
        assertThat(first.fixes().get(0).label()).contains("L1").contains("Lens");
        assertThat(words.words(finding, Map.of(7L, "L1", 9L, "Lens", 8L, "new")::get).body())
                .isSameAs(first);
        assertThat(
                        words.words(finding, Map.of(7L, "L1", 9L, "Old lens")::get)
                                .body()
                                .fixes()
                                .get(0)
                                .label())
                .contains("Old lens");
    }
}
