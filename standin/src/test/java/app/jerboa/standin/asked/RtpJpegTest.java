package app.jerboa.standin.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.standin.picture.Still;
import java.nio.ByteBuffer;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** RFC 2435, read back as its other end reads it. */
class RtpJpegTest {
    private static final byte[] JPEG = Still.of("L1", "1080p50", Instant.EPOCH, false);

    @Test
    void thePacketsHoldTheScanInOrderAndTheTablesOnce() {
        List<byte[]> packets = new RtpJpeg().packets(JPEG, 9_000);
        ByteBuffer scan = ByteBuffer.allocate(JPEG.length);
        for (int i = 0; i < packets.size(); i++) {
            ByteBuffer in = ByteBuffer.wrap(packets.get(i));
            boolean last = i == packets.size() - 1;
            assertThat(in.getShort()).as("framed for channel 0").isEqualTo((short) 0x2400);
            assertThat((int) in.getShort()).isEqualTo(in.remaining()).isLessThanOrEqualTo(1_400);
            assertThat(in.get()).isEqualTo((byte) 0x80);
            assertThat(in.get() & 0xFF).isEqualTo(last ? 0x9A : 0x1A);
            assertThat((int) in.getShort()).as("counted").isEqualTo(i);
            assertThat(in.getInt()).isEqualTo(9_000);
            in.getInt();
            assertThat(in.getInt() & 0xFFFFFF).as("fragment").isEqualTo(scan.position());
            byte[] header = new byte[4];
            in.get(header);
            assertThat(header).containsExactly(1, (byte) 255, 120, 68);
            if (i == 0) {
                assertThat(in.getInt()).isEqualTo(128);
                byte[] tables = new byte[128];
                in.get(tables);
                assertThat(tables).doesNotContain(0);
            }
            scan.put(in);
        }
        int size = scan.position();
        byte[] whole = Arrays.copyOf(scan.array(), size);
        byte[] tail = Arrays.copyOfRange(JPEG, JPEG.length - 2 - size, JPEG.length - 2);
        assertThat(whole).isEqualTo(tail);
        assertThat(JPEG).startsWith(0xFF, 0xD8).endsWith(0xFF, 0xD9);
    }

    @Test
    void whatIsNoPictureIsRefused() {
        for (byte[] bad : new byte[][] {{}, {1, 2, 3}, Arrays.copyOf(JPEG, 40)}) {
            assertThatThrownBy(() -> new RtpJpeg().packets(bad, 0))
                    .isInstanceOf(RuntimeException.class);
        }
    }
}
