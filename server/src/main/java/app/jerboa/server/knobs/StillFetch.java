package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.Video;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.words.Words;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.link.http.HttpTrouble;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Fetches one picture of a camera from its web server, with the password kept for it. */
@Component
public class StillFetch {
    private static final int MOST_OCTETS = 2 * 1024 * 1024;

    private final TellingLinks links;

    StillFetch(TellingLinks links) {
        this.links = links;
    }

    /** It was not fetched; the message is one sentence for a person. */
    public static final class NoStill extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NoStill(String sentence) {
            super(sentence);
        }
    }

    /** Its web server gives pictures. */
    public static boolean gives(Device device) {
        return path(device, Video::stillPath).or(() -> path(device, Video::motionPath)).isPresent();
    }

    private static Optional<String> path(Device device, Function<Video, String> which) {
        return device.profile().video().map(which).filter(p -> p.startsWith("http"));
    }

    /**
     * Without the host, which is where the device answers; a profile may name nothing behind it.
     */
    static String target(String address) {
        int slash = address.indexOf('/', address.indexOf("//") + 2);
        return slash < 0 ? "/" : address.substring(slash);
    }

    /**
     * @return as the camera gives it, JPEG as a rule
     * @throws NoStill in words
     * @throws app.jerboa.server.platform.Problem when it cannot be reached
     */
    public byte[] fetch(Jobs.Stored stored, Device device) {
        Optional<String> still = path(device, Video::stillPath);
        String path =
                still.or(() -> path(device, Video::motionPath))
                        .orElseThrow(
                                () ->
                                        new NoStill(
                                                Words.say(
                                                        "picture.none",
                                                        Map.of("device", device.name()))));
        HttpMessage asking = new HttpMessage("GET", target(path), "", "");
        try {
            TellingLinks.Web web = links.picture(stored, device);
            try {
                return still.isPresent()
                        ? web.http().fetch(asking, "picture", MOST_OCTETS)
                        : web.http().fetchFirst(asking, "picture in motion", MOST_OCTETS);
            } catch (HttpTrouble e) {
                if (e.kind() == HttpTrouble.Kind.NOT_LET_IN) {
                    web.notLetIn().run();
                }
                throw new NoStill(
                        Words.say(
                                "picture.trouble",
                                Map.of("device", device.name(), "why", e.getMessage())));
            }
        } catch (NotTold e) {
            throw new NoStill(e.getMessage());
        }
    }
}
