package app.jerboa.wire.rtsp;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RtspTest {
    /** Worked out by another program, by RFC 7616 and, without a quality, by RFC 2069. */
    @ParameterizedTest
    @CsvSource({
        "'realm=\"camera\", qop=\"auth, auth-int\", algorithm=MD5, nonce=\"n0nce\"', b90bbcc945d86a035a1ea122205af144",
        "'realm=\"camera\", qop=\"auth\", algorithm=SHA-256, nonce=\"n0nce\"', 5676090db389f5b73cac3883ad96db3c57495850f6343da3ca08bd79319f2f0e",
        "'realm=\"camera\", nonce=\"n0nce\"', 96aab560e479bd54047f98ce4ed401b4"
    })
    void aChallengeIsAnsweredAsInItsStandard(String header, String response) {
        DigestChallenge challenge = DigestChallenge.best(List.of("Digest " + header)).orElseThrow();
        String answer =
                challenge.answer("admin", "hall-pass", "DESCRIBE", "rtsp://10.44.8.21/1", "c1ient");
        assertThat(answer).contains("response=\"" + response + "\"").doesNotContain("hall-pass");
        assertThat(answer.contains("qop=auth, nc=00000001, cnonce=\"c1ient\""))
                .isEqualTo(header.contains("qop"));
    }

    @Test
    void theBetterHashIsTakenAndOthersAreNone() {
        List<String> both =
                List.of(
                        "Digest realm=\"a\", nonce=\"n\", algorithm=MD5",
                        "Digest realm=\"a\", nonce=\"n\", algorithm=SHA-256, stale=TRUE");
        assertThat(DigestChallenge.best(both).orElseThrow())
                .isEqualTo(new DigestChallenge("a", "n", "SHA-256", false, true));
        assertThat(DigestChallenge.best(List.of("Basic realm=\"a\""))).isEmpty();
        assertThat(DigestChallenge.best(List.of("Digest algorithm=SHA-512-256"))).isEmpty();
    }

    /** A description, lines parted by a bar: codec, width, height, rate. */
    @ParameterizedTest
    @CsvSource({
        "'m=video 0 RTP/AVP 96|a=rtpmap:96 H264/90000|a=framesize:96 1920-1080|a=framerate:50', H264 1920x1080 50.0",
        "'m=video 0 RTP/AVP 96|a=rtpmap:96 h265/90000', H265 - -",
        "'m=audio 0 RTP/AVP 97|a=rtpmap:97 AAC/48000|m=video 0 RTP/AVP 96|a=framerate:29.97', - - 29.97",
        "'m=video 0 RTP/AVP 96|a=framerate:25|m=audio 0 RTP/AVP 97|a=rtpmap:97 AAC/48000', - - 25.0",
        "'m=audio 0 RTP/AVP 97|a=framerate:25', - - -",
        "'', - - -"
    })
    void aDescriptionTellsWhatItHolds(String sdp, String told) {
        SdpPicture p = SdpPicture.read(sdp.replace("|", "\r\n"));
        assertThat(
                        p.codec().orElse("-")
                                + " "
                                + p.size().map(s -> s.width() + "x" + s.height()).orElse("-")
                                + " "
                                + (p.rate().isPresent() ? p.rate().getAsDouble() : "-"))
                .isEqualTo(told);
    }
}
