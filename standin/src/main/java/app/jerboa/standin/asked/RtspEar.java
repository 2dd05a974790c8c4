package app.jerboa.standin.asked;

import app.jerboa.standin.device.Door;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.web.DigestDoor;
import app.jerboa.wire.octets.Octets;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * A camera that describes its network picture (RTSP, RFC 2326: OPTIONS and DESCRIBE, no more) to
 * who knows its password, by Digest.
 */
public final class RtspEar implements TcpPort.Ear {
    private static final int LONGEST = 16_384;
    private static final String END = "\r\n\r\n";

    /**
     * What its picture is.
     *
     * @param format as the field writes it, for example {@code 1080p50}
     * @param codec {@code H264}, {@code H265} or {@code JPEG}
     */
    public record Picture(String name, String format, String codec) {}

    private final Supplier<Picture> picture;
    private final DigestDoor door;
    private final Gate gate;
    private final StringBuilder pending = new StringBuilder();

    public RtspEar(Supplier<Picture> picture, Door door, Gate gate) {
        this.picture = picture;
        this.door = new DigestDoor(door);
        this.gate = gate;
    }

    @Override
    public boolean stays() {
        return gate.own();
    }

    @Override
    public void afresh() {
        pending.setLength(0);
    }

    @Override
    public void hear(Octets chunk, Consumer<Octets> reply) {
        pending.append(new String(chunk.toArray(), StandardCharsets.US_ASCII));
        if (pending.length() > LONGEST) {
            pending.setLength(0);
        }
        int end = pending.indexOf(END);
        while (end >= 0) {
            String request = pending.substring(0, end);
            pending.delete(0, end + END.length());
            reply.accept(Octets.of(answer(request).getBytes(StandardCharsets.UTF_8)));
            end = pending.indexOf(END);
        }
    }

    private String answer(String request) {
        String[] lines = request.split("\r\n", -1);
        String[] first = lines[0].split(" ", -1);
        Map<String, String> headers = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        for (int i = 1; i < lines.length; i++) {
            int colon = lines[i].indexOf(':');
            if (colon > 0) {
                headers.put(
                        lines[i].substring(0, colon).strip(),
                        lines[i].substring(colon + 1).strip());
            }
        }
        String sequence = headers.getOrDefault("CSeq", "0");
        if (first.length != 3 || !first[2].startsWith("RTSP/")) {
            return head(400, "Bad Request", sequence) + "\r\n";
        }
        return switch (first[0]) {
            case "OPTIONS" -> head(200, "OK", sequence) + "Public: OPTIONS, DESCRIBE\r\n\r\n";
            case "DESCRIBE" -> describe(headers, sequence, first[1]);
            default -> head(405, "Method Not Allowed", sequence) + "\r\n";
        };
    }

    private String describe(Map<String, String> headers, String sequence, String uri) {
        String shown = headers.getOrDefault("Authorization", "");
        if (!door.lets(shown, "DESCRIBE")) {
            return head(401, "Unauthorized", sequence)
                    + String.join(
                            "",
                            door.challenges().stream()
                                    .map(c -> "WWW-Authenticate: " + c + "\r\n")
                                    .toList())
                    + "\r\n";
        }
        String sdp = Sdp.of(picture.get());
        return head(200, "OK", sequence)
                + "Content-Base: "
                + uri
                + "\r\nContent-Type: application/sdp\r\nContent-Length: "
                + sdp.getBytes(StandardCharsets.UTF_8).length
                + "\r\n\r\n"
                + sdp;
    }

    private static String head(int status, String words, String sequence) {
        return "RTSP/1.0 " + status + " " + words + "\r\nCSeq: " + sequence + "\r\n";
    }
}
