package app.jerboa.wire.panel;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.wire.octets.Octets;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Lines of the panel link, both ways. */
class PanelMessageTest {
    private static final List<PanelMessage> ALL =
            List.of(
                    new PanelMessage.SignIn("user", "p\"w"),
                    new PanelMessage.SignedIn("L8"),
                    new PanelMessage.Turn(Map.of("master-black", 12)),
                    new PanelMessage.Ask(List.of("iris")),
                    new PanelMessage.Values(Map.of("iris", -3)),
                    new PanelMessage.Do("white-balance-once"),
                    new PanelMessage.Tally(true),
                    new PanelMessage.Refused("recording mode"),
                    new PanelMessage.Held("another panel holds L8"),
                    new PanelMessage.Beat());

    @Test
    void everyMessageComesBackAsItWas() {
        for (PanelMessage m : ALL) {
            assertThat(PanelMessage.decode(m.encode()).toOptional()).contains(m);
        }
        assertThat(ALL.get(2).encode()).isEqualTo("{\"set\":{\"master-black\":12}}");
        assertThat(ALL.get(6).encode()).isEqualTo("{\"tally\":\"on\"}");
        assertThat(ALL.get(0).toString()).doesNotContain("p\"w");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "{}",
                "[]",
                "null",
                "{",
                "{\"set\":5}",
                "{\"set\":{\"a\":1.5}}",
                "{\"a\":1}",
                "{\"set\":{},\"get\":[]}",
                "{\"tally\":\"maybe\"}",
                "{\"sign-in\":{}}",
                "{\"get\":[1]}"
            })
    void allElseIsRefused(String line) {
        assertThat(PanelMessage.decode(line).toOptional()).isEmpty();
    }

    /** Cut anywhere, and with lines between that do not end. */
    @Test
    void linesAreFoundAgain() {
        Random random = new Random(3);
        for (int round = 0; round < 500; round++) {
            StringBuilder wire = new StringBuilder();
            List<String> sent = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                String line = ALL.get(random.nextInt(ALL.size())).encode();
                wire.append(random.nextInt(4) == 0 ? "x".repeat(17_000) + "\n" : "");
                wire.append(line).append('\n');
                sent.add(line);
            }
            byte[] octets = wire.toString().getBytes(StandardCharsets.UTF_8);
            LineFramer framer = new LineFramer();
            List<String> heard = new ArrayList<>();
            for (int at = 0; at < octets.length; ) {
                int next = Math.min(octets.length, at + 1 + random.nextInt(900));
                heard.addAll(framer.accept(Octets.of(Arrays.copyOfRange(octets, at, next))));
                at = next;
            }
            assertThat(heard).isEqualTo(sent);
        }
    }
}
