package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;

/** Sound into a device and out with the picture. */
public record Audio(
        @Fact(value = "Audio inputs", most = 64) int inputs,
        @Fact("Embeds into") List<AudioWay> embedsInto,
        @Fact(value = "Channels", most = 64) int channels,
        @Fact("Takes sound out again") boolean deEmbeds) {}
