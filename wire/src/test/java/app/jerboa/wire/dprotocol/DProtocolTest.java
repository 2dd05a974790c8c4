package app.jerboa.wire.dprotocol;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class DProtocolTest {
    private static final int ROUNDS = 100_000;

    /** Golden octets, each checksum added up by hand. */
    static Stream<Arguments> frames() {
        DMessage right = DMessage.Drive.of(0x20, 0);
        DMessage leftUp = DMessage.Drive.of(-63, 1);
        DMessage down = DMessage.Drive.of(0, -5);
        DMessage lens = new DMessage.Drive(0, 0, 1, 1, -1);
        DMessage wideNear = new DMessage.Drive(0, 0, -1, -1, 1);
        DMessage go = new DMessage.Preset(DMessage.PresetAction.GO, 12);
        DMessage tilt = new DMessage.Position(DAxis.TILT, 4_500);
        return Stream.of(
                Arguments.of(DForm.D, 1, DMessage.Drive.STOP, "FF 01 00 00 00 00 01"),
                Arguments.of(DForm.D, 1, right, "FF 01 00 02 20 00 23"),
                Arguments.of(DForm.D, 2, leftUp, "FF 02 00 0C 3F 01 4E"),
                Arguments.of(DForm.D, 255, down, "FF FF 00 10 00 05 14"),
                Arguments.of(DForm.D, 3, lens, "FF 03 04 A0 00 00 A7"),
                Arguments.of(DForm.D, 3, wideNear, "FF 03 03 40 00 00 46"),
                Arguments.of(DForm.D, 4, go, "FF 04 00 07 00 0C 17"),
                Arguments.of(DForm.D, 4, new DMessage.Ask(DAxis.PAN), "FF 04 00 51 00 00 55"),
                Arguments.of(DForm.D, 4, tilt, "FF 04 00 5B 11 94 04"),
                Arguments.of(DForm.P, 1, DMessage.Drive.STOP, "A0 00 00 00 00 00 AF 0F"),
                Arguments.of(DForm.P, 1, right, "A0 00 00 02 20 00 AF 2D"),
                Arguments.of(DForm.P, 3, lens, "A0 02 09 20 00 00 AF 24"),
                Arguments.of(DForm.P, 3, wideNear, "A0 02 06 40 00 00 AF 4B"));
    }

    @ParameterizedTest
    @MethodSource("frames")
    void readsAndWritesAsTheProtocolSays(DForm form, int address, DMessage message, String hex) {
        assertThat(form.encode(address, message)).hasToString(hex);
        assertThat(form.decode(Octets.ofHex(hex)))
                .isEqualTo(Decoded.accepted(new DForm.Addressed(address, message)));
        assertThat(DWords.of(form, Octets.ofHex(hex))).startsWith("head " + address + ": ");
    }

    private static <T> T one(T[] of, Random random) {
        return List.of(of).get(random.nextInt(of.length));
    }

    private static DMessage any(Random random) {
        return switch (random.nextInt(4)) {
            case 0 ->
                    new DMessage.Drive(
                            random.nextInt(127) - 63,
                            random.nextInt(127) - 63,
                            random.nextInt(3) - 1,
                            random.nextInt(3) - 1,
                            random.nextInt(3) - 1);
            case 1 ->
                    new DMessage.Preset(
                            one(DMessage.PresetAction.values(), random), random.nextInt(256));
            case 2 -> new DMessage.Ask(one(DAxis.values(), random));
            default -> new DMessage.Position(one(DAxis.values(), random), random.nextInt(0x10000));
        };
    }

    /** Round trips, one wrong octet, and a good frame found again behind noise. */
    @ParameterizedTest
    @EnumSource(DForm.class)
    void randomOctetsBreakNothing(DForm form) {
        Random random = new Random(form.size());
        DFramer framer = new DFramer(form);
        for (int round = 0; round < ROUNDS; round++) {
            int address = 1 + random.nextInt(255);
            DMessage message = any(random);
            Octets frame = form.encode(address, message);
            assertThat(form.decode(frame))
                    .isEqualTo(Decoded.accepted(new DForm.Addressed(address, message)));
            byte[] broken = frame.toArray();
            broken[random.nextInt(broken.length)] ^= (byte) (1 << random.nextInt(8));
            assertThat(form.decode(Octets.of(broken)))
                    .as("one bit of %s", frame)
                    .isInstanceOf(Decoded.Rejected.class);
            byte[] noise = new byte[random.nextInt(12)];
            random.nextBytes(noise);
            form.decode(Octets.of(noise));
            framer.accept(noise);
            // What is pending may still take up to a frame; then all is in step again.
            framer.accept(new byte[form.size() - 1]);
            assertThat(framer.accept(frame.toArray())).contains(Decoded.accepted(frame));
        }
    }

    @ParameterizedTest
    @EnumSource(DForm.class)
    void aStreamCutAnywhereGivesTheSameFrames(DForm form) {
        Octets one = form.encode(7, DMessage.Drive.of(-9, 4));
        Octets two = form.encode(7, DMessage.Drive.STOP);
        byte[] wire = one.plus(two).toArray();
        for (int cut = 0; cut <= wire.length; cut++) {
            DFramer framer = new DFramer(form);
            List<Decoded<Octets>> frames =
                    new ArrayList<>(framer.accept(Arrays.copyOfRange(wire, 0, cut)));
            frames.addAll(framer.accept(Arrays.copyOfRange(wire, cut, wire.length)));
            assertThat(frames)
                    .as("cut at %d", cut)
                    .containsExactly(Decoded.accepted(one), Decoded.accepted(two));
        }
    }

    /**
     * Other controllers leave a speed on an axis that stands; unknown orders are not guessed at.
     */
    @ParameterizedTest
    @CsvSource({
        "FF 01 00 02 20 3F 62, head 1: drive pan 32; tilt 0",
        "FF 01 00 09 00 2C 36, unknown",
        "FF 01 00 06 20 00 27, unknown",
        "FF 01 00 02 40 00 43, unknown",
        "FF 00 00 02 20 00 22, unknown",
        "FF 01 00 02 20 00, unknown"
    })
    void wordsOfWhatOthersSend(String hex, String words) {
        assertThat(DWords.of(DForm.D, Octets.ofHex(hex))).startsWith(words.replace(';', ','));
    }

    @Test
    void impossibleValuesCannotBeBuilt() {
        assertThatThrownBy(() -> DMessage.Drive.of(64, 0))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new DMessage.Preset(DMessage.PresetAction.SET, 256))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new DMessage.Position(DAxis.PAN, 65_536))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> DForm.D.encode(0, DMessage.Drive.STOP))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
