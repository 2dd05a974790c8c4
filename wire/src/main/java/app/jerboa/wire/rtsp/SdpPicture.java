package app.jerboa.wire.rtsp;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A network picture as its description tells it; what it does not tell is empty.
 *
 * @param codec as it is written there, for example {@code H264}
 * @param size width and height in pixels
 * @param rate pictures a second
 */
public record SdpPicture(Optional<String> codec, Optional<Size> size, OptionalDouble rate) {
    /** In pixels. */
    public record Size(int width, int height) {}

    private static final int LONGEST = 64_000;
    private static final Pattern VIDEO = Pattern.compile("m=video\\s[^\\n]*?([0-9]{1,3})\\s*$");
    private static final Pattern CODEC =
            Pattern.compile("a=rtpmap:[0-9]{1,3}\\s+([A-Za-z0-9-]{1,20})/[0-9]+");
    private static final Pattern SIZE =
            Pattern.compile("a=framesize:[0-9]{1,3}\\s+([0-9]{1,5})-([0-9]{1,5})");
    private static final Pattern RATE =
            Pattern.compile("a=framerate:\\s*([0-9]{1,3}(?:\\.[0-9]{1,6})?)");

    /** The first video of it; all empty when there is none. */
    public static SdpPicture read(String sdp) {
        Optional<String> codec = Optional.empty();
        Optional<Size> size = Optional.empty();
        OptionalDouble rate = OptionalDouble.empty();
        boolean video = false;
        for (String line : sdp.substring(0, Math.min(LONGEST, sdp.length())).split("\r?\n", -1)) {
            if (line.startsWith("m=")) {
                if (video) {
                    break;
                }
                video = VIDEO.matcher(line).find();
            }
            Matcher c = CODEC.matcher(line);
            Matcher s = SIZE.matcher(line);
            Matcher r = RATE.matcher(line);
            if (video && c.find()) {
                codec = Optional.of(c.group(1).toUpperCase(Locale.ROOT));
            } else if (video && s.find()) {
                size =
                        Optional.of(
                                new Size(
                                        Integer.parseInt(s.group(1)),
                                        Integer.parseInt(s.group(2))));
            } else if (video && r.find()) {
                rate = OptionalDouble.of(Double.parseDouble(r.group(1)));
            }
        }
        return new SdpPicture(codec, size, rate);
    }
}
