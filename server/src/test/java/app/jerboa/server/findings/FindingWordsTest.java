package app.jerboa.server.findings;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.value.FindingCode;
import java.io.IOException;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FindingWordsTest {
    @Test
    void everyCodeHasItsWords() throws IOException {
        FindingWords words = new FindingWords();
        for (FindingCode code :
                JobFindings.DISCIPLINES.stream().flatMap(d -> d.codes().stream()).toList()) {
            for (String part : new String[] {"what", "why", "source"}) {
                assertThat(words.text(code.code(), part, Map.of()))
                        .as(code + " " + part)
                        .isNotBlank();
            }
        }
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
