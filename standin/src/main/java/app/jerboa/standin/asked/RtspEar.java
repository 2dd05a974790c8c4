package app.jerboa.standin.asked;

import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.StreamCodec;
import app.jerboa.core.profile.Video;
import app.jerboa.standin.device.Door;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.web.DigestDoor;
import app.jerboa.wire.octets.Octets;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * A camera that describes its network picture (RTSP, RFC 2326) to who knows its password, by
 * Digest; one that sends Motion JPEG sends it over the same stream when it is told to play.
 */
public final class RtspEar implements TcpPort.Ear {
    private static final int LONGEST = 16_384;
    private static final String END = "\r\n\r\n";
    private static final String JPEG = "JPEG";

    /**
     * What its picture is.
     *
     * @param format as the field writes it, for example {@code 1080p50}
     * @param codec {@code H264}, {@code H265} or {@code JPEG}
     */
    public record Picture(String name, String format, String codec) {
        /** Motion JPEG where it has that: this is what a stand-in can send. */
        public static Picture of(String name, String format, Profile profile) {
            List<StreamCodec> codecs =
                    profile.video().map(Video::codecs).orElse(List.of(StreamCodec.H264));
            String codec =
                    codecs.contains(StreamCodec.MJPEG)
                            ? JPEG
                            : codecs.stream()
                                    .findFirst()
                                    .map(c -> c.toString().toUpperCase(Locale.ROOT))
                                    .orElse("H264");
            return new Picture(name, format, codec);
        }
    }

    private static final int FRAME_MILLIS = 200;
    private static final int TICKS_OF_A_MILLI = 90;
    private static final String SESSION = "1";

    private final Supplier<Picture> picture;
    private final Supplier<byte[]> still;
    private final RtpJpeg packets = new RtpJpeg();
    private Consumer<Octets> say = octets -> {};
    private Optional<ScheduledFuture<?>> playing = Optional.empty();
    private final DigestDoor door;
    private final Gate gate;
    private final StringBuilder pending = new StringBuilder();

    /**
     * @param still one picture of it, as JPEG
     */
    public RtspEar(Supplier<Picture> picture, Supplier<byte[]> still, Door door, Gate gate) {
        this.picture = picture;
        this.still = still;
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
    public void open(Consumer<Octets> openSay) {
        say = openSay;
    }

    @Override
    public void gone() {
        pause();
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
            case "OPTIONS" ->
                    head(200, "OK", sequence)
                            + "Public: OPTIONS, DESCRIBE, SETUP, PLAY, TEARDOWN\r\n\r\n";
            case "DESCRIBE", "SETUP", "PLAY", "TEARDOWN" ->
                    letIn(headers, sequence, first[0], first[1]);
            default -> head(405, "Method Not Allowed", sequence) + "\r\n";
        };
    }

    private String letIn(Map<String, String> headers, String sequence, String method, String uri) {
        String shown = headers.getOrDefault("Authorization", "");
        if (!door.lets(shown, method)) {
            return head(401, "Unauthorized", sequence)
                    + String.join(
                            "",
                            door.challenges().stream()
                                    .map(c -> "WWW-Authenticate: " + c + "\r\n")
                                    .toList())
                    + "\r\n";
        }
        return switch (method) {
            case "SETUP" -> setUp(headers, sequence);
            case "PLAY" -> play(sequence);
            case "TEARDOWN" -> {
                pause();
                yield head(200, "OK", sequence) + "\r\n";
            }
            default -> describe(sequence, uri);
        };
    }

    /** Over this stream only: nothing is sent to where somebody says. */
    private String setUp(Map<String, String> headers, String sequence) {
        boolean here = headers.getOrDefault("Transport", "").contains("interleaved");
        if (!here || !picture.get().codec().equals(JPEG)) {
            return head(461, "Unsupported Transport", sequence) + "\r\n";
        }
        return head(200, "OK", sequence)
                + "Transport: RTP/AVP/TCP;unicast;interleaved=0-1\r\nSession: "
                + SESSION
                + "\r\n\r\n";
    }

    private synchronized String play(String sequence) {
        if (!picture.get().codec().equals(JPEG)) {
            return head(455, "Method Not Valid in This State", sequence) + "\r\n";
        }
        pause();
        playing =
                Optional.of(
                        Timers.SHARED.scheduleWithFixedDelay(
                                this::frame, FRAME_MILLIS, FRAME_MILLIS, TimeUnit.MILLISECONDS));
        return head(200, "OK", sequence) + "Session: " + SESSION + "\r\n\r\n";
    }

    private void frame() {
        long ticks = System.nanoTime() / 1_000_000 * TICKS_OF_A_MILLI;
        packets.packets(still.get(), ticks).forEach(p -> say.accept(Octets.of(p)));
    }

    private synchronized void pause() {
        playing.ifPresent(p -> p.cancel(false));
        playing = Optional.empty();
    }

    private String describe(String sequence, String uri) {
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
