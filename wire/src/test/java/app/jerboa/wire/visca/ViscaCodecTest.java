package app.jerboa.wire.visca;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ViscaCodecTest {
    /** Golden octets from the message table of the protocol. */
    static Stream<Arguments> requests() {
        return Stream.of(
                Arguments.of("81 01 06 01 01 01 03 03 FF", ViscaRequest.Drive.STOP),
                Arguments.of("81 01 06 01 18 01 01 03 FF", new ViscaRequest.Drive(-24, 0)),
                Arguments.of("81 01 06 01 05 14 02 01 FF", new ViscaRequest.Drive(5, 20)),
                Arguments.of("81 01 06 01 01 07 03 02 FF", new ViscaRequest.Drive(0, -7)),
                Arguments.of("81 01 04 07 00 FF", ViscaRequest.Zoom.STOP),
                Arguments.of("81 01 04 07 20 FF", new ViscaRequest.Zoom(1)),
                Arguments.of("81 01 04 07 37 FF", new ViscaRequest.Zoom(-8)),
                Arguments.of("81 01 06 04 FF", new ViscaRequest.Home()),
                Arguments.of("81 01 00 01 FF", new ViscaRequest.Clear()),
                Arguments.of("81 09 00 02 FF", new ViscaRequest.AskVersion()),
                Arguments.of("81 09 06 12 FF", new ViscaRequest.AskPanTilt()),
                Arguments.of("81 09 04 47 FF", new ViscaRequest.AskZoom()));
    }

    @ParameterizedTest
    @MethodSource("requests")
    void requestsReadAndWriteAsTheTableSays(String hex, ViscaRequest request) {
        assertThat(request.encode(1)).hasToString(hex);
        assertThat(ViscaRequest.decode(Octets.ofHex(hex)))
                .isEqualTo(Decoded.accepted(new ViscaRequest.Addressed(1, request)));
    }

    @Test
    void everyDriveAndZoomRoundTrips() {
        List<ViscaRequest> all = new ArrayList<>();
        for (int pan = -24; pan <= 24; pan++) {
            for (int tilt = -20; tilt <= 20; tilt++) {
                all.add(new ViscaRequest.Drive(pan, tilt));
            }
        }
        for (int z = -8; z <= 8; z++) {
            all.add(new ViscaRequest.Zoom(z));
        }
        for (ViscaRequest request : all) {
            assertThat(ViscaRequest.decode(request.encode(7)).toOptional())
                    .contains(new ViscaRequest.Addressed(7, request));
        }
    }

    static Stream<Arguments> replies() {
        return Stream.of(
                Arguments.of("90 41 FF", new ViscaReply.Ack(1)),
                Arguments.of("90 52 FF", new ViscaReply.Completed(2)),
                Arguments.of("90 60 02 FF", new ViscaReply.Refused(0, ViscaError.SYNTAX)),
                Arguments.of("90 61 41 FF", new ViscaReply.Refused(1, ViscaError.NOT_EXECUTABLE)),
                Arguments.of("90 50 0F 0F 0F 00 00 0A 01 02 FF", new PanTilt(-16, 0x0A12).answer()),
                Arguments.of("90 50 04 00 00 00 FF", new ZoomPosition(ZoomPosition.TELE).answer()),
                Arguments.of(
                        "90 50 00 7A 05 11 01 23 02 FF",
                        new Version(0x7A, 0x511, 0x123, 2).answer()));
    }

    @ParameterizedTest
    @MethodSource("replies")
    void repliesReadAndWriteAsTheTableSays(String hex, ViscaReply reply) {
        assertThat(reply.encode(1)).hasToString(hex);
        assertThat(ViscaReply.decode(Octets.ofHex(hex))).isEqualTo(Decoded.accepted(reply));
    }

    /** Four nibbles each, five of pan, five of both; others are no position. */
    @ParameterizedTest
    @CsvSource({
        "0F 0F 0F 00 00 0A 01 02, -16, 2578",
        "0F 0E 0D 0C 0B 00 0A 01 02, -4661, 2578",
        "00 0E 0D 0C 0B 00 0A 01 02, 60875, 2578",
        "07 0F 0F 0F 0F 08 00 00 00 00, 524287, -524288",
        "00 00 00 00 00 00 00, , ",
        "00 00 00 00 00 00 00 00 00 00 00, , ",
        "00 10 00 00 00 00 00 00, , "
    })
    void positionsOfSomeCamerasAreLonger(String hex, Integer pan, Integer tilt) {
        assertThat(PanTilt.decode(Octets.ofHex(hex)).toOptional())
                .isEqualTo(Optional.ofNullable(pan).map(p -> new PanTilt(p, tilt)));
    }

    @Test
    void positionsRoundTrip() {
        for (int v = Short.MIN_VALUE; v <= Short.MAX_VALUE; v += 37) {
            PanTilt at = new PanTilt(v, -v - 1);
            assertThat(PanTilt.decode(at.answer().payload()).toOptional()).contains(at);
        }
        for (int v = -524_288; v <= 524_287; v += 997) {
            PanTilt at = new PanTilt(v, -v - 1);
            assertThat(PanTilt.decode(at.longAnswer().payload()).toOptional()).contains(at);
        }
        assertThat(Version.decode(new Version(1, 0xFFFF, 3, 2).answer().payload()).toOptional())
                .contains(new Version(1, 0xFFFF, 3, 2));
        assertThat(ZoomPosition.decode(Octets.ofHex("00 10 00 00")).toOptional()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "80 09 04 47 FF",
        "91 09 04 47 FF",
        "81 09 04 47",
        "81 FF",
        "81 01 06 01 00 01 01 03 FF",
        "81 01 06 01 19 01 01 03 FF",
        "81 01 06 01 01 15 03 01 FF",
        "81 01 06 01 01 01 00 03 FF",
        "81 01 04 07 28 FF",
        "81 01 04 07 01 FF",
        "81 01 06 04 00 FF",
        "81 7F FF"
    })
    void otherOctetsAreNoRequest(String hex) {
        assertThat(ViscaRequest.decode(Octets.ofHex(hex))).isInstanceOf(Decoded.Rejected.class);
    }

    @ParameterizedTest
    @CsvSource({
        "COMMAND, 1, 81 01 04 07 00 FF, 01 00 00 06 00 00 00 01 81 01 04 07 00 FF",
        "INQUIRY, 4294967295, 81 09 04 47 FF, 01 10 00 05 FF FF FF FF 81 09 04 47 FF",
        "CONTROL, 0, 01, 02 00 00 01 00 00 00 00 01",
        "CONTROL_REPLY, 9, 0F 01, 02 01 00 02 00 00 00 09 0F 01"
    })
    void packetsReadAndWriteAsTheTableSays(
            IpPacket.Type type, long sequence, String payload, String hex) {
        IpPacket packet = new IpPacket(type, sequence, Octets.ofHex(payload));
        assertThat(packet.encode()).hasToString(hex);
        assertThat(IpPacket.decode(Octets.ofHex(hex))).isEqualTo(Decoded.accepted(packet));
    }

    @Test
    void impossibleValuesCannotBeBuilt() {
        assertThatThrownBy(() -> new ViscaRequest.Drive(25, 0))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new ViscaRequest.Zoom(-9))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new ViscaRequest.Home().encode(0))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new IpPacket(IpPacket.Type.REPLY, -1, IpPacket.RESET))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aStreamCutAnywhereGivesTheSameFrames() {
        byte[] wire = Octets.ofHex("90 41 FF 90 51 FF").toArray();
        for (int cut = 0; cut <= wire.length; cut++) {
            ViscaFramer framer = new ViscaFramer();
            List<Decoded<Octets>> frames =
                    new ArrayList<>(framer.accept(Arrays.copyOfRange(wire, 0, cut)));
            frames.addAll(framer.accept(Arrays.copyOfRange(wire, cut, wire.length)));
            assertThat(frames)
                    .as("cut at %d", cut)
                    .containsExactly(
                            Decoded.accepted(Octets.ofHex("90 41 FF")),
                            Decoded.accepted(Octets.ofHex("90 51 FF")));
        }
    }

    /** Random octets break no decoder, and after them the next good frame is found. */
    @Test
    void randomOctetsNeverBreakADecoder() {
        Random random = new Random(11);
        Octets good = new ViscaRequest.AskZoom().encode(1);
        for (int round = 0; round < 200_000; round++) {
            byte[] noise = new byte[random.nextInt(40)];
            random.nextBytes(noise);
            Octets octets = Octets.of(noise);
            ViscaRequest.decode(octets)
                    .toOptional()
                    .ifPresent(
                            a ->
                                    assertThat(
                                                    ViscaRequest.decode(
                                                                    a.request().encode(a.camera()))
                                                            .toOptional())
                                            .contains(a));
            ViscaReply.decode(octets)
                    .toOptional()
                    .ifPresent(r -> assertThat(r.body().size()).isPositive());
            IpPacket.decode(octets)
                    .toOptional()
                    .ifPresent(p -> assertThat(p.encode()).isEqualTo(octets));
            ViscaWords.of(octets);
            ViscaFramer framer = new ViscaFramer();
            framer.accept(noise);
            framer.accept(new byte[] {(byte) 0xFF});
            assertThat(framer.accept(good.toArray())).containsExactly(Decoded.accepted(good));
        }
    }

    @Test
    void errorNumbersAreUnique() {
        assertThat(Arrays.stream(ViscaError.values()).map(ViscaError::wire))
                .doesNotHaveDuplicates();
        assertThat(Arrays.stream(IpPacket.Type.values()).map(IpPacket.Type::wire))
                .doesNotHaveDuplicates();
    }
}
