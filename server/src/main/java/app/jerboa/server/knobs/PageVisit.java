package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.job.Jobs;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.link.http.HttpTrouble;
import org.springframework.stereotype.Component;

/**
 * Opens the settings page of a device once, with the password that is kept for it: devices lock
 * after a few wrong ones, so that it is never tried again by itself.
 */
@Component
public class PageVisit {
    private final TellingLinks links;

    PageVisit(TellingLinks links) {
        this.links = links;
    }

    /** How it went. */
    public enum Came {
        IN,
        /** The password is not the one that it wants. */
        NOT_LET_IN,
        /** It wants one, and none is kept. */
        NO_PASSWORD,
        /** It shows another certificate than at first sight: nothing was told to it. */
        OTHER_CERTIFICATE,
        /** It answers, but not with a page. */
        NO_PAGE,
        SILENT
    }

    public static boolean has(Device device) {
        return device.profile().port(Protocol.WEB).isPresent();
    }

    /**
     * @throws app.jerboa.server.platform.Problem when it cannot be reached
     */
    public Came visit(Jobs.Stored stored, Device device) {
        try {
            links.page(stored, device).http().send(new HttpMessage("GET", "/", "", ""), "its page");
            return Came.IN;
        } catch (NotTold e) {
            return Came.NO_PASSWORD;
        } catch (HttpTrouble e) {
            return switch (e.kind()) {
                case NOT_LET_IN -> Came.NOT_LET_IN;
                case OTHER_CERTIFICATE -> Came.OTHER_CERTIFICATE;
                case SILENT -> Came.SILENT;
                default -> Came.NO_PAGE;
            };
        }
    }
}
