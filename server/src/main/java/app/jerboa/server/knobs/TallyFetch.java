package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.knob.HttpCall;
import app.jerboa.server.job.Jobs;
import app.jerboa.wire.http.Values;
import app.jerboa.wire.link.http.HttpTrouble;
import org.springframework.stereotype.Component;

/** Asks the web server of a switcher what is on programme, again and again by itself. */
@Component
public class TallyFetch {
    private final TellingLinks links;

    TallyFetch(TellingLinks links) {
        this.links = links;
    }

    /** It did not say; the message is one sentence for a person. */
    public static final class NotSaid extends RuntimeException {
        private static final long serialVersionUID = 1L;

        public NotSaid(Throwable why) {
            super(why.getMessage(), why);
        }
    }

    /**
     * @return its answer as it is
     * @throws NotSaid when it is silent, refuses or does not let us in
     * @throws app.jerboa.server.platform.Problem when it cannot be reached
     */
    public String fetch(Jobs.Stored stored, Device switcher, HttpCall reading) {
        try {
            TellingLinks.Web web = links.http(stored, switcher, false);
            try {
                return web.http()
                        .send(Requests.template(reading).fill(Values.none()), "ask programme");
            } catch (HttpTrouble e) {
                if (e.kind() == HttpTrouble.Kind.NOT_LET_IN) {
                    web.notLetIn().run();
                }
                throw new NotSaid(e);
            }
        } catch (NotTold e) {
            throw new NotSaid(e);
        }
    }
}
