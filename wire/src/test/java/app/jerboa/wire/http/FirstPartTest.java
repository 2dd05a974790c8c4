package app.jerboa.wire.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One picture out of an answer that never ends. */
class FirstPartTest {
    private static final String MIXED = "multipart/x-mixed-replace; boundary=frame";
    private static final int MOST = 2_048;

    private static byte[] octets(String text) {
        return text.replace("|", "\r\n").getBytes(StandardCharsets.ISO_8859_1);
    }

    private static String read(String type, String answer) throws IOException {
        ByteArrayInputStream in = new ByteArrayInputStream(octets(answer));
        return new String(FirstPart.read(in, type, MOST), StandardCharsets.ISO_8859_1);
    }

    @ParameterizedTest
    @CsvSource({
        "multipart/x-mixed-replace; boundary=frame, --frame|Content-Type: image/jpeg|Content-Length: 3||abc|--frame|",
        "Multipart/X-Mixed-Replace;BOUNDARY=\"frame\", |--frame|content-length:3||abc",
        "multipart/x-mixed-replace; boundary=--frame, --frame|Content-Type: image/jpeg||abc|--frame|more",
        "multipart/x-mixed-replace; boundary=frame; charset=x, a preamble|--frame||abc|--frame--"
    })
    void isFoundHoweverItIsWritten(String type, String answer) throws IOException {
        assertThat(read(type, answer)).isEqualTo("abc");
    }

    @ParameterizedTest
    @CsvSource({
        "image/jpeg, abc, no multipart answer",
        "multipart/x-mixed-replace, --frame||abc, no multipart answer",
        "multipart/x-mixed-replace; boundary=frame, '', its answer was cut off",
        "multipart/x-mixed-replace; boundary=frame, --frame|Content-Length: 9||abc, its picture was cut off",
        "multipart/x-mixed-replace; boundary=frame, --frame||abc, its picture was cut off",
        "multipart/x-mixed-replace; boundary=frame, --frame|Content-Length: -1||abc, no length: -1",
        "multipart/x-mixed-replace; boundary=frame, --frame|Content-Length: 2049||abc, its picture has more than 2 kB"
    })
    void whatIsNoPictureSaysWhy(String type, String answer, String why) {
        assertThatThrownBy(() -> read(type, answer)).hasMessage(why);
    }

    @Test
    void whatDoesNotEndIsGivenUp() {
        assertThatThrownBy(() -> read(MIXED, "x".repeat(5_000)))
                .hasMessage("a line of its answer does not end");
        assertThatThrownBy(() -> read(MIXED, "x|".repeat(5_000)))
                .hasMessage("no part begins in its answer");
        assertThatThrownBy(() -> read(MIXED, "--frame||" + "x".repeat(5_000)))
                .hasMessage("its picture has more than 2 kB");
    }

    /** Pictures of any octets, with pieces of a boundary in them. */
    @Test
    void anyOctetsComeBackAsTheyWere() throws IOException {
        Random random = new Random(5);
        for (int round = 0; round < 500; round++) {
            StringBuilder picture = new StringBuilder();
            for (int i = 0; i < random.nextInt(200); i++) {
                String piece = "\r\n--frame".substring(0, random.nextInt(9));
                picture.append(piece).append((char) random.nextInt(256)).append('!');
            }
            String of = picture.toString();
            if (of.contains("\r\n--frame")) {
                continue;
            }
            byte[] answer =
                    ("--frame\r\n\r\n" + of + "\r\n--frame\r\n")
                            .getBytes(StandardCharsets.ISO_8859_1);
            byte[] read = FirstPart.read(new ByteArrayInputStream(answer), MIXED, 65_536);
            assertThat(read).isEqualTo(of.getBytes(StandardCharsets.ISO_8859_1));
        }
    }
}
