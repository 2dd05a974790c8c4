package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.StreamCodec;
import app.jerboa.core.profile.Video;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.video.PictureSize;
import app.jerboa.core.video.StreamRate;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Network pictures: what each takes, where it is called from, and what each link carries. */
public final class StreamPlan {
    /** What a port of a network switch carries, in Mb/s. */
    public static final double LINK_MBITS = 1000;

    private final Cabling cabling;
    private final Map<Link, Double> loads = new LinkedHashMap<>();
    private final Map<Link, Integer> viewers = new HashMap<>();

    private StreamPlan(Cabling cabling) {
        this.cabling = cabling;
    }

    /** Viewers sit where the network comes together: at the router, else at the first switch. */
    public static StreamPlan of(Cabling cabling) {
        return cabling.job().worked(StreamPlan.class, () -> called(cabling));
    }

    private static StreamPlan called(Cabling cabling) {
        StreamPlan streams = new StreamPlan(cabling);
        List<Device> watched = watched(cabling.job());
        if (watched.isEmpty()) {
            return streams;
        }
        Map<DeviceId, Link> up = streams.towardsRoot();
        for (Device d : watched) {
            megabits(d, cabling).ifPresent(rate -> streams.climb(d, viewers(d), rate, up));
        }
        return streams;
    }

    private record Watched(List<Device> devices) {}

    private static List<Device> watched(Job job) {
        return job.worked(
                        Watched.class,
                        Parts.of(ItemKind.DEVICE),
                        Watched.class,
                        () ->
                                new Watched(
                                        job.devices().stream()
                                                .filter(d -> viewers(d) > 0)
                                                .toList()))
                .devices();
    }

    private static int viewers(Device d) {
        return d.asSet().viewers().orElse(0);
    }

    private void climb(Device d, int taken, double rate, Map<DeviceId, Link> up) {
        DeviceId at = d.id();
        for (Link link = up.get(at); link != null; link = up.get(at)) {
            loads.merge(link, rate * taken, Double::sum);
            viewers.merge(link, taken, Integer::sum);
            at = link.beyond(at).device().id();
        }
    }

    /** For each device the link on its way to the root. */
    private Map<DeviceId, Link> towardsRoot() {
        Map<DeviceId, Link> up = new HashMap<>();
        Optional<Device> root = root();
        if (root.isEmpty()) {
            return up;
        }
        Deque<DeviceId> next = new ArrayDeque<>(List.of(root.get().id()));
        while (!next.isEmpty()) {
            DeviceId at = next.removeFirst();
            cabling.at(at, Signal.NETWORK)
                    .forEach(
                            link -> {
                                DeviceId other = link.beyond(at).device().id();
                                boolean known =
                                        other.equals(root.get().id())
                                                || up.putIfAbsent(other, link) != null;
                                if (!known) {
                                    next.addLast(other);
                                }
                            });
        }
        return up;
    }

    private Optional<Device> root() {
        List<Device> all = cabling.job().devices();
        return all.stream()
                .filter(d -> d.profile().kind() == DeviceKind.ROUTER)
                .filter(d -> cabling.at(d.id(), Signal.NETWORK).findAny().isPresent())
                .findFirst()
                .or(
                        () ->
                                all.stream()
                                        .filter(
                                                d ->
                                                        d.profile().kind()
                                                                == DeviceKind.NETWORK_SWITCH)
                                        .findFirst());
    }

    /**
     * Mb/s of one viewer: as set, else by its first codec and format, within its profile's most.
     */
    public static Optional<Double> megabits(Device d, Cabling cabling) {
        Optional<Video> video = d.profile().video().filter(v -> !v.codecs().isEmpty());
        if (video.isEmpty()) {
            return Optional.empty();
        } else if (d.asSet().streamMbits().isPresent()) {
            return Optional.of((double) d.asSet().streamMbits().getAsInt());
        }
        String format =
                d.format().isEmpty() ? cabling.job().site().habits().standard() : d.format();
        PictureSize size = PictureSize.of(format);
        double rate =
                codec(video.get().codecs().get(0))
                        .megabits(size.width(), size.height(), size.fps());
        return Optional.of(Math.min(rate, video.get().streamMbits().orElse(rate)));
    }

    private static StreamRate codec(StreamCodec codec) {
        return switch (codec) {
            case H264 -> StreamRate.H264;
            case H265 -> StreamRate.H265;
            case MJPEG -> StreamRate.MJPEG;
        };
    }

    /** What to type to see it; empty without an address or a stream. */
    public static Optional<String> address(Device d) {
        return d.profile()
                .video()
                .map(Video::streamPath)
                .filter(p -> !p.isEmpty())
                .flatMap(p -> d.address().map(Ipv4::toString).map(a -> p.replace("{address}", a)))
                .map(p -> p.replace("{port}", "554"));
    }

    /** Mb/s on each link that carries any. */
    public Map<Link, Double> loads() {
        return loads;
    }

    /** How many pictures a link carries. */
    public int pictures(Link link) {
        return viewers.getOrDefault(link, 0);
    }
}
