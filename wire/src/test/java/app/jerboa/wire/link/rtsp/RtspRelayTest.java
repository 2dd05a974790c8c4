package app.jerboa.wire.link.rtsp;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RtspRelayTest {
    private static final int PATIENCE = 3_000;

    private ServerSocket camera;
    private RtspRelay relay;

    @BeforeEach
    void open() throws IOException {
        camera = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
        camera.setSoTimeout(PATIENCE);
        relay =
                RtspRelay.open(
                        new InetSocketAddress(
                                InetAddress.getLoopbackAddress(), camera.getLocalPort()),
                        PATIENCE);
    }

    @AfterEach
    void close() throws IOException {
        relay.close();
        camera.close();
    }

    private Socket program() throws IOException {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), relay.port());
        socket.setSoTimeout(PATIENCE);
        return socket;
    }

    private static byte[] octets(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void bothWaysAsItIsAndOverWhenOneSideIs() throws IOException {
        try (Socket program = program();
                Socket device = camera.accept()) {
            program.getOutputStream().write(octets("DESCRIBE"));
            assertThat(device.getInputStream().readNBytes(8)).isEqualTo(octets("DESCRIBE"));
            device.getOutputStream().write(octets("RTSP/1.0 200 OK"));
            assertThat(program.getInputStream().readNBytes(15))
                    .isEqualTo(octets("RTSP/1.0 200 OK"));
            device.shutdownOutput();
            assertThat(program.getInputStream().read()).isEqualTo(-1);
        }
    }

    /** Nobody else gets in, and what was sent on elsewhere hears nothing of it. */
    @Test
    void aRedirectionIsCutOffAlsoInPieces() throws IOException {
        try (Socket program = program();
                Socket device = camera.accept()) {
            device.setTcpNoDelay(true);
            for (String piece : new String[] {"RTSP/1", ".0 ", "302 Found\r\nLocation: x"}) {
                device.getOutputStream().write(octets(piece));
                device.getOutputStream().flush();
            }
            byte[] all = program.getInputStream().readAllBytes();
            assertThat(new String(all, StandardCharsets.UTF_8)).doesNotContain("302", "Location");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "RTSP/1.0 200 OK, false",
        "RTSP/1.0 302 Found, true",
        "xxRTSP/1.RTSP/1.0 301, true",
        "RRTSP/1.0 300, true",
        "RTSP/1.0 404 3, false",
    })
    void whatARedirectionIs(String text, boolean is) {
        RtspRelay.Redirection whole = new RtspRelay.Redirection();
        assertThat(whole.isIn(octets(text), octets(text).length)).isEqualTo(is);
        RtspRelay.Redirection pieces = new RtspRelay.Redirection();
        boolean any = false;
        for (byte b : octets(text)) {
            any |= pieces.isIn(new byte[] {b}, 1);
        }
        assertThat(any).isEqualTo(is);
    }
}
