package app.jerboa.server.sums;

import static app.jerboa.server.sums.SumCheck.between;
import static app.jerboa.server.sums.SumCheck.impossible;
import static app.jerboa.server.sums.SumCheck.insist;
import static app.jerboa.server.sums.SumCheck.needed;
import static app.jerboa.server.sums.SumCheck.positive;

import app.jerboa.core.serial.SerialTiming;
import app.jerboa.core.value.Formats;
import app.jerboa.core.video.Coax;
import app.jerboa.core.video.StreamRate;
import app.jerboa.core.video.VideoLink;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What serial lines, coaxial leads and network links carry. */
@RestController
@RequestMapping("/api/sums")
class LineSums {
    private static final int MOST_BAUD = 10_000_000;
    private static final int MOST_PIXELS = 16_384;

    static final class SerialIn {
        public Integer baud;
        public int bitsPerCharacter = 10;
        public int cameras = 1;
    }

    record SerialOut(double updatesPerSecond, double perCamera) {}

    static final class CoaxIn {
        public String cable;
        public String format;
    }

    record CoaxOut(double linkGbps, double lossDbPer100m, double longestMetres) {}

    static final class StreamIn {
        public Integer width;
        public Integer height;
        public Double fps;
        public String codec;
        public int viewers = 1;
        public Double uplinkMbps;
    }

    record StreamOut(double streamMbps, double totalMbps, boolean fits) {}

    @PostMapping("/serial-timing")
    SerialOut serial(@RequestBody SerialIn in) {
        int baud = between("baud", needed("baud", in.baud), 1, MOST_BAUD);
        int bits = between("bitsPerCharacter", in.bitsPerCharacter, 7, 13);
        int cameras = between("cameras", in.cameras, 1, 255);
        double updates = SerialTiming.updatesPerSecond(baud, bits);
        return new SerialOut(updates, updates / cameras);
    }

    @PostMapping("/coax")
    CoaxOut coax(@RequestBody CoaxIn in) {
        Coax cable =
                Coax.of(needed("cable", in.cable))
                        .orElseThrow(() -> impossible("cable", "it must be RG6, RG59 or MINI"));
        String format = needed("format", in.format);
        insist("format", Formats.ALL.contains(format), "one of " + Formats.ALL);
        double link = VideoLink.gigabits(format);
        return new CoaxOut(
                link, cable.lossDbPer100m(link), cable.longestMetres(link, Coax.allowedDb(link)));
    }

    @PostMapping("/stream")
    StreamOut stream(@RequestBody StreamIn in) {
        int width = between("width", needed("width", in.width), 1, MOST_PIXELS);
        int height = between("height", needed("height", in.height), 1, MOST_PIXELS);
        double fps = positive("fps", needed("fps", in.fps), 1_000);
        StreamRate codec =
                StreamRate.of(needed("codec", in.codec))
                        .orElseThrow(() -> impossible("codec", "it must be H264, H265 or MJPEG"));
        int viewers = between("viewers", in.viewers, 1, 100_000);
        double uplink = positive("uplinkMbps", needed("uplinkMbps", in.uplinkMbps), 1e6);
        double one = codec.megabits(width, height, fps);
        double all = one * viewers;
        return new StreamOut(one, all, all <= StreamRate.SHARE * uplink);
    }
}
