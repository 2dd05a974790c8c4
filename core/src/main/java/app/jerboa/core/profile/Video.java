package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * Pictures in and out.
 *
 * @param formats what it can send or take, for example {@code 1080p50}
 * @param dial positions of a dial that sets the format while in reach
 * @param coaxLossDb what its receiver makes up for at its highest rate
 * @param streamPath of its network picture, with {@code {address}} and {@code {port}} to fill in
 * @param stillPath of one picture of it, in the same way
 * @param motionPath of pictures that follow each other in one HTTP answer, in the same way
 */
public record Video(
        @Fact("Formats") List<String> formats,
        @Fact("Dial") List<DialPosition> dial,
        @Fact("Converts formats") boolean converts,
        @Fact(value = "Coax loss its receiver allows", unit = "dB", least = 10, most = 60)
                OptionalDouble coaxLossDb,
        @Fact("Codecs") List<StreamCodec> codecs,
        @Fact(value = "Stream path", longest = 200) String streamPath,
        @Fact(value = "Still path", longest = 200) String stillPath,
        @Fact(value = "Motion JPEG path", longest = 200) String motionPath,
        @Fact(value = "Stream at most", unit = "Mb/s", most = 200) OptionalDouble streamMbits,
        @Fact("Overlays to switch off") List<String> overlays,
        @Fact(value = "Multicore at most", unit = "m", most = 2000) OptionalInt multicoreMetres) {}
