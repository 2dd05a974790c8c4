package app.jerboa.standin.asked;

import java.util.Locale;

/** What a network picture is, by RFC 8866, with its size and rate as cameras write them. */
final class Sdp {
    private static final int DYNAMIC = 96;

    /** Of Motion JPEG, by RFC 3551. */
    private static final int JPEG = 26;

    private Sdp() {}

    static String of(RtspEar.Picture p) {
        int type = p.codec().equals("JPEG") ? JPEG : DYNAMIC;
        String[] parts = p.format().split("[pi]", -1);
        int height = number(parts, 0, 1080);
        int fields = number(parts, 1, 25);
        int rate = p.format().contains("i") ? fields / 2 : fields;
        int width = height * 16 / 9;
        return String.join(
                "\r\n",
                "v=0",
                "o=- 1 1 IN IP4 127.0.0.1",
                "s=" + p.name(),
                "t=0 0",
                "m=video 0 RTP/AVP " + type,
                "a=rtpmap:" + type + " " + p.codec() + "/90000",
                String.format(Locale.ROOT, "a=framesize:%d %d-%d", type, width, height),
                "a=framerate:" + rate,
                "a=control:track1",
                "");
    }

    private static int number(String[] parts, int at, int otherwise) {
        return parts.length > at && parts[at].matches("\\d{1,4}")
                ? Integer.parseInt(parts[at])
                : otherwise;
    }
}
