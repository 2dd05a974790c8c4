package app.jerboa.standin.asked;

import app.jerboa.wire.octets.Octets;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;

/**
 * A baseline JPEG as RTP packets (RFC 3550, RFC 2435), each framed for a stream of its own (RFC
 * 2326, 10.12). Its quantisation tables go along; its Huffman tables must be those of the standard.
 */
final class RtpJpeg {
    private static final int MOST = 1_400;
    private static final int RTP_HEADER = 12;
    private static final int JPEG_HEADER = 8;
    private static final int TABLES_HEADER = 4;
    private static final int TABLE = 64;
    private static final int VERSION = 0x80;
    private static final int JPEG = 26;
    private static final int LAST = 0x80;
    private static final int HALVED_BOTH_WAYS = 1;
    private static final int TABLES_IN_BAND = 255;
    private static final int SOURCE = 0x4A424121;
    private static final int BLOCK = 8;

    private static final int DQT = 0xDB;
    private static final int SOF0 = 0xC0;
    private static final int SOS = 0xDA;

    private int sequence;

    /**
     * What of a JPEG is sent.
     *
     * @param tables of brightness and colour, 64 octets each
     */
    private record Parts(int width, int height, Octets tables, int scan, int end) {}

    /**
     * @param ticks of 90 kHz
     * @return framed as data of channel 0
     * @throws IllegalArgumentException for what is no JPEG
     */
    List<byte[]> packets(byte[] jpeg, long ticks) {
        Parts parts = parts(jpeg);
        List<byte[]> packets = new ArrayList<>();
        int length = parts.end() - parts.scan();
        for (int at = 0; at < length; ) {
            int tables = at == 0 ? TABLES_HEADER + parts.tables().size() : 0;
            int room = MOST - RTP_HEADER - JPEG_HEADER - tables;
            int size = Math.min(room, length - at);
            packets.add(packet(jpeg, parts, at, size, ticks));
            at += size;
        }
        return packets;
    }

    private byte[] packet(byte[] jpeg, Parts parts, int at, int size, long ticks) {
        boolean first = at == 0;
        boolean last = parts.scan() + at + size == parts.end();
        int tables = first ? TABLES_HEADER + parts.tables().size() : 0;
        int whole = RTP_HEADER + JPEG_HEADER + tables + size;
        ByteBuffer out = ByteBuffer.allocate(4 + whole);
        out.put((byte) '$').put((byte) 0).putShort((short) whole);
        out.put((byte) VERSION).put((byte) (JPEG | (last ? LAST : 0)));
        out.putShort((short) sequence++).putInt((int) ticks).putInt(SOURCE);
        out.putInt(at);
        out.put((byte) HALVED_BOTH_WAYS).put((byte) TABLES_IN_BAND);
        out.put((byte) blocks(parts.width())).put((byte) blocks(parts.height()));
        if (first) {
            out.put((byte) 0).put((byte) 0).putShort((short) parts.tables().size());
            out.put(parts.tables().toArray());
        }
        out.put(jpeg, parts.scan() + at, size);
        return out.array();
    }

    private static int blocks(int pixels) {
        return (pixels + BLOCK - 1) / BLOCK;
    }

    /** The segments before the scan: marker, length, content. */
    private static Parts parts(byte[] jpeg) {
        byte[] tables = new byte[2 * TABLE];
        int width = 0;
        int height = 0;
        int at = 2;
        while (at + 4 <= jpeg.length && (jpeg[at] & 0xFF) == 0xFF) {
            int marker = jpeg[at + 1] & 0xFF;
            int length = whole(jpeg, at + 2);
            if (marker == DQT) {
                for (int t = at + 4; t < at + 2 + length; t += 1 + TABLE) {
                    System.arraycopy(jpeg, t + 1, tables, (jpeg[t] & 1) * TABLE, TABLE);
                }
            } else if (marker == SOF0) {
                height = whole(jpeg, at + 5);
                width = whole(jpeg, at + 7);
            } else if (marker == SOS) {
                // The last two octets end the picture.
                return new Parts(
                        width, height, Octets.of(tables), at + 2 + length, jpeg.length - 2);
            }
            at += 2 + length;
        }
        throw new IllegalArgumentException("no baseline JPEG");
    }

    private static int whole(byte[] jpeg, int at) {
        return (jpeg[at] & 0xFF) << 8 | jpeg[at + 1] & 0xFF;
    }
}
