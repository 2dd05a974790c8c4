package app.jerboa.wire.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Values go into their places, and no value can change the request around it. */
class RequestTemplateTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GET  | /set?iris={value}          | none |                   | 5  | GET /set?iris=5",
                "GET  | /set?iris={value:+d}       | none |                   | 5  | GET /set?iris=%2B5",
                "GET  | /set?iris={value:+d}       | none |                   | -5 | GET /set?iris=-5",
                "GET  | /set/{value:03d}/now       | none |                   | 7  | GET /set/007/now",
                "GET  | /set?v={value:02x}         | none |                   | 10 | GET /set?v=0a",
                "GET  | /set?v={value:02X}         | none |                   | 26 | GET /set?v=1A",
                "POST | /set                       | form | iris={value:+d}&a=b | 3 | POST /set iris=%2B3&a=b",
                "POST | /set                       | json | {\"iris\":{value}}  | -3 | POST /set {\"iris\":-3}"
            })
    void aValueIsWrittenAsItsPlaceSays(
            String method, String path, String form, String body, int value, String request) {
        RequestTemplate template =
                RequestTemplate.of(method, path, BodyForm.named(form), body == null ? "" : body);
        HttpMessage message = template.fill(Values.of(value, ""));
        assertThat(message).hasToString(request);
        assertThat(template.read(message).orElseThrow().number()).hasValue(value);
    }

    /** Whatever stands in a text, it comes back as it was, and the request keeps its parts. */
    @Test
    void noTextEndsItsPlace() {
        Random random = new Random(7);
        String signs = "aZ09&=?#/+%\"'\\{}<>\r\n\t ;,äß€";
        RequestTemplate[] templates = {
            RequestTemplate.of("GET", "/a/{word}/b?c={word}&d=1", BodyForm.NONE, ""),
            RequestTemplate.of("POST", "/a", BodyForm.FORM, "one={word}&two=2"),
            RequestTemplate.of("POST", "/a", BodyForm.JSON, "{\"one\":\"{word}\",\"two\":2}")
        };
        for (int i = 0; i < 20_000; i++) {
            StringBuilder text = new StringBuilder("x");
            for (int n = random.nextInt(8); n > 0; n--) {
                text.append(signs.charAt(random.nextInt(signs.length())));
            }
            RequestTemplate template = templates[i % templates.length];
            HttpMessage message = template.fill(Values.of(0, text.toString()));
            assertThat(message.target()).matches("[!-~]+").doesNotContain("\\", "\"");
            assertThat(message.target().chars().filter(c -> c == '&').count()).isLessThan(2);
            assertThat(message.body().chars().filter(c -> c < ' ').count()).isZero();
            assertThat(template.read(message).orElseThrow().word()).hasValue(text.toString());
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"http://a/b", "//a/b", "/\\a", "a/b", "", "/a b", "/a\r\nHost: b", "@a/b"})
    void aPathThatCouldLeadElsewhereIsRefused(String path) {
        assertThatThrownBy(() -> RequestTemplate.of("GET", path, BodyForm.NONE, ""))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/iris      |                  | {\"iris\":5}           | 5",
                "/a/1/b     |                  | {\"a\":[0,{\"b\":\"x\"}]} | x",
                "/iris      |                  | {\"iris\":null}        | -",
                "/iris      |                  | {\"iris\":{\"a\":1}}   | -",
                "/iris      |                  | no JSON                | -",
                "           | iris=([+-]?[0-9]+) | a=1 iris=-12 b       | -12",
                "           | iris=([0-9]+)    | red=3                  | -"
            })
    void aValueIsFoundWhereTheProfileSays(
            String pointer, String pattern, String answer, String value) {
        AnswerShape shape =
                AnswerShape.of(pointer == null ? "" : pointer, pattern == null ? "" : pattern);
        assertThat(shape.read(answer).toOptional().orElse("-")).isEqualTo(value);
    }

    /** Also with a pattern that would take for ever in another engine. */
    @Test
    void answersOfAnyKindAreReadOrRefused() {
        Random random = new Random(11);
        AnswerShape[] shapes = {
            AnswerShape.of("/a/b", ""),
            AnswerShape.of("", "(a+)+b"),
            AnswerShape.of("", "((x?){40})y"),
            AnswerShape.of("", "v: *([^;]*);")
        };
        String signs = "abxy{}[]\",:0123v;\\ \n";
        for (int i = 0; i < 100_000; i++) {
            StringBuilder answer = new StringBuilder();
            for (int n = random.nextInt(i % 1000 == 0 ? 4_000 : 40); n > 0; n--) {
                answer.append(signs.charAt(random.nextInt(signs.length())));
            }
            assertThat(shapes[i % shapes.length].read(answer.toString())).isNotNull();
        }
        assertThat(shapes[1].read("a".repeat(60_000)).toOptional()).isEmpty();
        assertThat(shapes[1].read("a".repeat(70_000)).reason()).contains("64 kB");
    }
}
