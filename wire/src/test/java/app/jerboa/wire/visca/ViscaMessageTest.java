package app.jerboa.wire.visca;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The message table: golden octets for every line of it, and what must hold for each line. */
class ViscaMessageTest {
    private static final Set<ViscaMessage> SHOWN = EnumSet.noneOf(ViscaMessage.class);

    /** Whole frames to camera 1, written from the protocol's table and not from the code. */
    private static final String GOLDEN =
            """
            POWER | 2 | 81 01 04 00 02 FF
            POWER | 3 | 81 01 04 00 03 FF
            RESET | | 81 01 06 05 FF
            ABSOLUTE | 24 20 -1 4660 | 81 01 06 02 18 14 0F 0F 0F 0F 01 02 03 04 FF
            RELATIVE | 1 1 32767 -32768 | 81 01 06 03 01 01 07 0F 0F 0F 08 00 00 00 FF
            LIMIT_SET | 1 2448 -288 | 81 01 06 07 00 01 00 09 09 00 0F 0E 0E 00 FF
            LIMIT_CLEAR | 0 | 81 01 06 07 01 00 07 0F 0F 0F 07 0F 0F 0F FF
            ZOOM_DIRECT | 16384 | 81 01 04 47 04 00 00 00 FF
            FOCUS_STOP | | 81 01 04 08 00 FF
            FOCUS_FAR | | 81 01 04 08 02 FF
            FOCUS_NEAR | | 81 01 04 08 03 FF
            FOCUS_FAR_AT | 7 | 81 01 04 08 27 FF
            FOCUS_NEAR_AT | 0 | 81 01 04 08 30 FF
            FOCUS_DIRECT | 61440 | 81 01 04 48 0F 00 00 00 FF
            FOCUS_MODE | 3 | 81 01 04 38 03 FF
            FOCUS_ONE_PUSH | | 81 01 04 18 01 FF
            WHITE_BALANCE | 5 | 81 01 04 35 05 FF
            WHITE_BALANCE_ONCE | | 81 01 04 10 05 FF
            RED_GAIN | 165 | 81 01 04 43 00 00 0A 05 FF
            BLUE_GAIN | 255 | 81 01 04 44 00 00 0F 0F FF
            RED_GAIN_STEP | 2 | 81 01 04 03 02 FF
            BLUE_GAIN_STEP | 3 | 81 01 04 04 03 FF
            EXPOSURE | 13 | 81 01 04 39 0D FF
            SHUTTER | 18 | 81 01 04 4A 00 00 01 02 FF
            IRIS | 17 | 81 01 04 4B 00 00 01 01 FF
            GAIN | 0 | 81 01 04 4C 00 00 00 00 FF
            BRIGHT | 31 | 81 01 04 4D 00 00 01 0F FF
            DETAIL | 8 | 81 01 04 42 00 00 00 08 FF
            SATURATION | 14 | 81 01 04 49 00 00 00 0E FF
            HUE | 7 | 81 01 04 4F 00 00 00 07 FF
            BACKLIGHT | 2 | 81 01 04 33 02 FF
            PRESET_RESET | 0 | 81 01 04 3F 00 00 FF
            PRESET_SET | 9 | 81 01 04 3F 01 09 FF
            PRESET_RECALL | 254 | 81 01 04 3F 02 FE FF
            PRESET_SPEED | 24 | 81 01 06 01 18 FF
            MENU | 2 | 81 01 06 06 02 FF
            TALLY | 3 | 81 01 7E 01 0A 00 03 FF
            INFRARED | 3 | 81 01 06 08 03 FF
            CANCEL | 2 | 81 22 FF
            ASK_POWER | | 81 09 04 00 FF
            ASK_FOCUS | | 81 09 04 48 FF
            ASK_FOCUS_MODE | | 81 09 04 38 FF
            ASK_WHITE_BALANCE | | 81 09 04 35 FF
            ASK_RED_GAIN | | 81 09 04 43 FF
            ASK_BLUE_GAIN | | 81 09 04 44 FF
            ASK_EXPOSURE | | 81 09 04 39 FF
            ASK_SHUTTER | | 81 09 04 4A FF
            ASK_IRIS | | 81 09 04 4B FF
            ASK_GAIN | | 81 09 04 4C FF
            ASK_BRIGHT | | 81 09 04 4D FF
            ASK_DETAIL | | 81 09 04 42 FF
            ASK_SATURATION | | 81 09 04 49 FF
            ASK_HUE | | 81 09 04 4F FF
            ASK_BACKLIGHT | | 81 09 04 33 FF
            ASK_MENU | | 81 09 06 06 FF
            ASK_TALLY | | 81 09 7E 01 0A FF
            ASK_INFRARED | | 81 09 06 08 FF
            """;

    private static List<Integer> values(String written) {
        return written.isBlank()
                ? List.of()
                : Arrays.stream(written.trim().split(" ", -1)).map(Integer::valueOf).toList();
    }

    @Test
    void everyLineOfTheTableReadsAndWritesAsTheProtocolSays() {
        for (String line : GOLDEN.lines().toList()) {
            String[] parts = line.split("\\|", 3);
            ViscaMessage message = ViscaMessage.valueOf(parts[0].trim());
            ViscaRequest sent = new ViscaRequest.Sent(message, values(parts[1]));
            SHOWN.add(message);
            assertThat(sent.encode(1)).as(line).hasToString(parts[2].trim());
            assertThat(ViscaRequest.decode(Octets.ofHex(parts[2].trim())))
                    .as(line)
                    .isEqualTo(Decoded.accepted(new ViscaRequest.Addressed(1, sent)));
            assertThat(sent.inquiry()).as(line).isEqualTo(message.name().startsWith("ASK_"));
        }
        Octets toAll = Octets.ofHex("88 30 01 FF");
        assertThat(ViscaRequest.Sent.of(ViscaMessage.ADDRESS_SET, 1).encode(8)).isEqualTo(toAll);
        SHOWN.add(ViscaMessage.ADDRESS_SET);
        assertThat(SHOWN).as("a line without golden octets").hasSize(ViscaMessage.values().length);
    }

    /** Whatever a line can say comes back from the wire as it was said. */
    @ParameterizedTest
    @EnumSource(ViscaMessage.class)
    void whateverItCanSayComesBack(ViscaMessage message) {
        Random random = new Random(message.name().hashCode());
        int told = 0;
        for (int round = 0; round < 2_000; round++) {
            List<Integer> values = new ArrayList<>();
            for (int i = 0; i < message.valueCount(); i++) {
                values.add(random.nextInt(0x10000) - 0x8000 >> random.nextInt(16));
            }
            ViscaRequest sent;
            try {
                sent = new ViscaRequest.Sent(message, values);
            } catch (IllegalArgumentException outOfRange) {
                continue;
            }
            told++;
            Octets frame = sent.encode(3);
            assertThat(ViscaRequest.decode(frame).toOptional())
                    .contains(new ViscaRequest.Addressed(3, sent));
            assertThat(frame.size()).isBetween(3, 16);
            assertThat(ViscaWords.of(frame)).startsWith(message.words());
        }
        assertThat(told).as("values that fit").isPositive();
    }

    @ParameterizedTest
    @CsvSource({
        "POWER, 1",
        "POWER, 4",
        "ABSOLUTE, 0 1 0 0",
        "ABSOLUTE, 25 1 0 0",
        "ABSOLUTE, 1 21 0 0",
        "ABSOLUTE, 1 1 32768 0",
        "ABSOLUTE, 1 1 0",
        "FOCUS_FAR_AT, 8",
        "RED_GAIN, 256",
        "RED_GAIN, -1",
        "SATURATION, 16",
        "PRESET_SET, 255",
        "CANCEL, 0",
        "RESET, 1"
    })
    void whatDoesNotFitCannotBeBuilt(ViscaMessage message, String values) {
        assertThatThrownBy(() -> new ViscaRequest.Sent(message, values(values)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(message.words());
    }

    @ParameterizedTest
    @CsvSource({
        "ASK_POWER, 90 50 02 FF, 2",
        "ASK_WHITE_BALANCE, 90 50 05 FF, 5",
        "ASK_RED_GAIN, 90 50 00 00 0A 05 FF, 165",
        "ASK_FOCUS, 90 50 0F 00 00 00 FF, 61440"
    })
    void answersAreReadByTheShapeThatWasAskedFor(ViscaMessage message, String hex, int value) {
        Octets frame = Octets.ofHex(hex);
        ViscaReply.Answer answer = message.answer().encode(value);
        assertThat(answer.encode(1)).isEqualTo(frame);
        assertThat(ViscaReply.decode(frame)).isEqualTo(Decoded.accepted(answer));
        assertThat(message.answer().decode(answer.payload())).isEqualTo(Decoded.accepted(value));
        assertThat(ViscaRequest.Sent.of(message).answeredBy(answer)).isTrue();
        assertThat(new ViscaRequest.AskPanTilt().answeredBy(answer)).isFalse();
        assertThat(message.answer().decode(Octets.of(1, 2, 3)))
                .isInstanceOf(Decoded.Rejected.class);
    }

    @ParameterizedTest
    @CsvSource({"88 30 04 FF, 3", "88 30 01 FF, 0", "88 30 08 FF, 7"})
    void anAddressSetComesBackWithTheNumberOfCameras(String hex, int cameras) {
        ViscaReply back = new ViscaReply.AddressesSet(cameras);
        assertThat(back.encode(1)).hasToString(hex);
        assertThat(ViscaReply.decode(Octets.ofHex(hex))).isEqualTo(Decoded.accepted(back));
    }

    @Test
    void aChainSaysThatItHasChanged() {
        assertThat(ViscaReply.decode(Octets.ofHex("A0 38 FF")))
                .isEqualTo(Decoded.accepted(new ViscaReply.NetworkChanged()));
        assertThat(ViscaReply.decode(Octets.ofHex("A0 39 FF")))
                .isInstanceOf(Decoded.Rejected.class);
    }
}
