package app.jerboa.wire.link;

import app.jerboa.wire.octets.Octets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Those who hear what comes in. One that fails at something keeps nobody from the next. */
public final class Listeners {
    private static final Logger LOG = LoggerFactory.getLogger(Listeners.class);

    private final List<Consumer<Octets>> all = new CopyOnWriteArrayList<>();

    public Subscription add(Consumer<Octets> listener) {
        all.add(listener);
        return () -> all.remove(listener);
    }

    public void tell(Octets octets) {
        for (Consumer<Octets> listener : all) {
            try {
                listener.accept(octets);
            } catch (RuntimeException e) {
                LOG.warn("{} octets could not be handled", octets.size(), e);
            }
        }
    }
}
