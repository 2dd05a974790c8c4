package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is a message of a page, and what is none. */
class PageMessageTest {
    private static PageMessage read(String text) {
        return PageMessage.read(text).orElseThrow();
    }

    @Test
    void aStickSaysHowFarItIsPushed() {
        PageMessage stick =
                read("{\"type\":\"stick\",\"pan\":-0.25,\"tilt\":7,\"zoom\":null,\"limit\":1e-1}");
        assertThat(stick.type()).isEqualTo("stick");
        assertThat(stick.push("pan")).isEqualTo(-0.25);
        assertThat(stick.push("tilt")).isOne();
        assertThat(stick.push("zoom")).isZero();
        assertThat(stick.number("limit")).hasValue(0.1);
        assertThat(stick.number("seconds")).isEmpty();
    }

    @Test
    void aWholeNumberKeepsAllItsDigits() {
        PageMessage take = read("{\"camera\":9007199254740993,\"type\":\"take\"}");
        assertThat(take.whole("camera")).isEqualTo(9007199254740993L);
        assertThat(take.whole("job")).isEqualTo(-1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "null",
                "[]",
                "7",
                "{",
                "{\"type\":\"beat\"",
                "{\"type\":\"beat\"}}",
                "{\"type\":\"beat\"} 1",
                "{\"type\":null}",
                "{\"type\":7}",
                "{\"type\":\"beat\",\"type\":\"beat\"}",
                "{\"type\":\"stick\",\"pan\":\"1\"}",
                "{\"type\":\"stick\",\"pan\":NaN}",
                "{\"type\":\"stick\",\"pan\":[1]}",
                "{\"type\":\"stick\",\"pan\":true}",
                "{\"type\":\"stick\",\"pan\":1,\"pan\":0}",
                "{\"type\":\"stick\",\"yaw\":1}",
                "{\"type\":\"take\",\"camera\":1.5}",
                "{\"type\":\"take\",\"camera\":99999999999999999999}",
                "{\"type\":\"recall\",\"preset\":4294967296}"
            })
    void whatIsNoMessageIsRefused(String text) {
        assertThat(PageMessage.read(text)).isEmpty();
    }

    @Test
    void aNumberTooLargeToHoldIsAsFarAsTheStickGoes() {
        assertThat(read("{\"type\":\"stick\",\"pan\":1e999}").push("pan")).isOne();
        assertThat(read("{\"type\":\"stick\",\"pan\":-1e999}").push("pan")).isEqualTo(-1);
    }
}
