package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.Video;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.words.Words;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.link.http.HttpTrouble;
import java.util.Map;
import java.util.Optional;
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

    /** Where its web server gives one picture; empty for a camera that gives none. */
    public static Optional<String> path(Device device) {
        return device.profile().video().map(Video::stillPath).filter(p -> p.startsWith("http"));
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
        String path =
                path(device)
                        .orElseThrow(
                                () ->
                                        new NoStill(
                                                Words.say(
                                                        "picture.none",
                                                        Map.of("device", device.name()))));
        String target = target(path);
        try {
            TellingLinks.Web web = links.picture(stored, device);
            try {
                return web.http()
                        .fetch(new HttpMessage("GET", target, "", ""), "picture", MOST_OCTETS);
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
