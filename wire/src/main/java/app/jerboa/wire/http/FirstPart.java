package app.jerboa.wire.http;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;

/**
 * The first picture of a Motion JPEG answer, which never ends by itself: {@code
 * multipart/x-mixed-replace}, each part with headers of its own (RFC 2046, 5.1).
 */
public final class FirstPart {
    private static final int LONGEST_LINE = 1_024;
    private static final int MOST_LINES = 64;
    private static final String LENGTH = "content-length:";

    private FirstPart() {}

    /**
     * @param contentType of the whole answer, which names the boundary
     * @param most octets of the picture
     * @throws IOException with the reason where there is none within the bounds
     */
    public static byte[] read(InputStream in, String contentType, int most) throws IOException {
        byte[] boundary = ("\r\n--" + boundary(contentType)).getBytes(StandardCharsets.ISO_8859_1);
        int length = headers(in);
        if (length > most) {
            throw new IOException("its picture has more than " + most / 1024 + " kB");
        }
        if (length >= 0) {
            byte[] picture = in.readNBytes(length);
            if (picture.length < length) {
                throw new IOException("its picture was cut off");
            }
            return picture;
        }
        return untilBoundary(in, boundary, most);
    }

    private static String boundary(String contentType) throws IOException {
        String type = contentType.toLowerCase(Locale.ROOT);
        int at = type.indexOf("boundary=");
        if (!type.startsWith("multipart/") || at < 0) {
            throw new IOException("no multipart answer");
        }
        String named = contentType.substring(at + "boundary=".length()).split(";", 2)[0].strip();
        String bare = named.replace("\"", "");
        // Some devices name it with the dashes that only stand before it in the answer.
        return bare.startsWith("--") ? bare.substring(2) : bare;
    }

    /**
     * @return its length; -1 where it does not say
     */
    private static int headers(InputStream in) throws IOException {
        int length = -1;
        boolean begun = false;
        for (int i = 0; i < MOST_LINES; i++) {
            String line = line(in);
            if (!begun) {
                begun = line.startsWith("--");
            } else if (line.isEmpty()) {
                return length;
            } else if (line.toLowerCase(Locale.ROOT).startsWith(LENGTH)) {
                length = number(line.substring(LENGTH.length()).strip());
            }
        }
        throw new IOException("no part begins in its answer");
    }

    private static int number(String text) throws IOException {
        if (!text.matches("\\d{1,9}")) {
            throw new IOException("no length: " + text);
        }
        return Integer.parseInt(text);
    }

    private static String line(InputStream in) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c != '\n'; c = in.read()) {
            if (c < 0) {
                throw new IOException("its answer was cut off");
            } else if (line.length() == LONGEST_LINE) {
                throw new IOException("a line of its answer does not end");
            } else if (c != '\r') {
                line.append((char) c);
            }
        }
        return line.toString();
    }

    private static byte[] untilBoundary(InputStream in, byte[] boundary, int most)
            throws IOException {
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        int same = 0;
        for (int c = in.read(); c >= 0; c = in.read()) {
            picture.write(c);
            // It begins with the only carriage return that it has.
            same = (byte) c == boundary[same] ? same + 1 : (byte) c == boundary[0] ? 1 : 0;
            if (same == boundary.length) {
                byte[] all = picture.toByteArray();
                return Arrays.copyOf(all, all.length - boundary.length);
            } else if (picture.size() > most) {
                throw new IOException("its picture has more than " + most / 1024 + " kB");
            }
        }
        throw new IOException("its picture was cut off");
    }
}
