package app.jerboa.core.value;

import java.util.List;

/** Picture formats by lines, scan and rate: {@code 1080i50} has 50 fields a second. */
public final class Formats {
    public static final List<String> ALL =
            List.of(
                    "576i50", "720p25", "720p30", "720p50", "720p60", "1080i50", "1080i60",
                    "1080p24", "1080p25", "1080p30", "1080p50", "1080p60", "2160p25", "2160p30",
                    "2160p50", "2160p60");

    private Formats() {}
}
