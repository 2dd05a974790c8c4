package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import app.jerboa.core.profile.Profile;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.standin.web.WebPort;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.http.DeviceHttp;
import app.jerboa.wire.link.http.HttpTrouble;
import app.jerboa.wire.link.http.Pins;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.InstantSource;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pictures that follow each other in one answer: each asking sees the one of its moment. */
class MotionTest {
    private static final int MOST = 65_536;

    private final AtomicInteger frame = new AtomicInteger();

    private static final class Any implements Pins {
        @Override
        public Optional<String> pinned() {
            return Optional.empty();
        }

        @Override
        public void pin(String sha256) {}
    }

    private static DeviceHttp http(WebPort port, Profile profile, String password) {
        return new DeviceHttp(
                new InetSocketAddress(InetAddress.getLoopbackAddress(), port.port()),
                profile.web().orElseThrow().tls(),
                new Any(),
                new DeviceHttp.Account("admin", password, Optional.empty()),
                false,
                InstantSource.system(),
                new WireLog(10));
    }

    @ParameterizedTest
    @CsvSource({"ceiling-ptz, /motion.mjpg", "box-camera-network, /motion"})
    void aPictureIsTakenAndTheRestCutOff(String id, String path) throws IOException {
        Profile profile = ShippedProfiles.read(id).orElseThrow();
        Door door = Door.open("admin", "right");
        try (WebPort port =
                        WebPort.open(
                                new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
                                new KnobBank(profile, 1),
                                door,
                                Gate.open(Optional.empty()),
                                () -> new byte[] {(byte) frame.incrementAndGet(), 13, 10});
                DeviceHttp in = http(port, profile, "right");
                DeviceHttp out = http(port, profile, "wrong")) {
            HttpMessage asking = new HttpMessage("GET", path, "", "");
            byte first = in.fetchFirst(asking, "picture", MOST)[0];
            // Many more than may look at once: each leaves when its picture is there.
            for (int i = 0; i < 50; i++) {
                await().ignoreExceptions()
                        .until(() -> in.fetchFirst(asking, "picture", MOST)[0] != first);
            }
            assertThatThrownBy(() -> out.fetchFirst(asking, "picture", MOST))
                    .isInstanceOfSatisfying(
                            HttpTrouble.class,
                            e -> assertThat(e.kind()).isEqualTo(HttpTrouble.Kind.NOT_LET_IN));
        }
    }
}
