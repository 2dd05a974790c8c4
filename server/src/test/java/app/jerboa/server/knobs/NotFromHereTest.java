package app.jerboa.server.knobs;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.knob.Tongue;
import app.jerboa.wire.octets.Octets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The octets decide, whatever a profile calls them. */
class NotFromHereTest {
    @ParameterizedTest
    @CsvSource({
        "VISCA, 81 01 06 01 05 05 02 03 FF, true",
        "VISCA, 81 01 06 01 05 05 03 03 FF, false",
        "VISCA, 81 01 06 04 FF, true",
        "VISCA, 81 01 04 3F 02 05 FF, true",
        "VISCA, 81 01 04 47 01 00 00 00 FF, true",
        "VISCA, 88 30 01 FF, true",
        "VISCA, 81 01 04 48 02 00 00 00 FF, false",
        "VISCA, 81 01 04 4B 00 00 00 05 FF, false",
        "VISCA, 81 01 7E 22 01 FF, false",
        "D_PROTOCOL, FF 01 00 02 20 00 23, true",
        "D_PROTOCOL, FF 01 00 07 00 05 0D, true",
        "D_PROTOCOL, FF 01 00 09 00 01 0B, false"
    })
    void whatMovesIsKnownByItsOctets(Tongue in, String frame, boolean moves) {
        assertThat(NotFromHere.moves(in, Octets.ofHex(frame))).isEqualTo(moves);
    }
}
