package app.jerboa.core.job.proof;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.seen.SeenWiring;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.StreamCodec;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What the plan says of a device, in the words in which it would be found. */
final class PlannedFact {
    private PlannedFact() {}

    /** Blank where the plan says nothing of it. */
    static String of(Job job, Device device, Topic topic) {
        return switch (topic) {
            case LINK -> link(job, device);
            case STREAM -> stream(device);
            default -> AsFound.field(topic).map(f -> JobItems.text(device, f)).orElse("");
        };
    }

    /** The network switch and its port. */
    private static String link(Job job, Device device) {
        return SeenWiring.planned(job, device).map(p -> p.words(job)).orElse("");
    }

    /** What its profile can send, and the format that is noted for it. */
    private static String stream(Device device) {
        String codecs =
                device.profile().video().stream()
                        .flatMap(v -> v.codecs().stream())
                        .map(StreamCodec::toString)
                        .collect(Collectors.joining("/"));
        return Stream.of(codecs, device.format())
                .filter(t -> !t.isEmpty())
                .collect(Collectors.joining(", "));
    }
}
