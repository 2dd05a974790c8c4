package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.HeadLink;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * A camera told something beside the stick: the desk's lease holds. Whoever drives it from a desk
 * of this server goes over their own link; a camera that somebody else drives is left alone; any
 * other is held while it lasts.
 */
@Component
public class BorrowedLinks {
    /** Longer than one try lasts. */
    private static final int LEASE_SECONDS = 12;

    private final AtomicLong told = new AtomicLong();
    private final CameraLinks links;
    private final DeskMapper mapper;
    private final String server;

    BorrowedLinks(CameraLinks links, DeskMapper mapper, Settings settings) {
        this.links = links;
        this.mapper = mapper;
        this.server = settings.serverName();
    }

    /**
     * @throws Problem when somebody else drives it, or there is no way to it
     */
    public <T> T with(Jobs.Stored stored, Device device, Person by, Function<HeadLink, T> told) {
        Optional<CameraLink> own = own(id(stored, device), by);
        return own.isPresent()
                ? told.apply(own.get().link())
                : held(stored, device, by, () -> aside(stored, device, told));
    }

    /**
     * The same for what goes another way than over the link of a head.
     *
     * @throws Problem when somebody else drives it
     */
    public <T> T held(Jobs.Stored stored, Device device, Person by, Supplier<T> does) {
        CameraId id = id(stored, device);
        if (own(id, by).isPresent()) {
            return does.get();
        }
        String holder = "told:" + server + ":" + told.incrementAndGet();
        if (mapper.takeLease(id, server, holder, by.displayName(), LEASE_SECONDS) != 1) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "driven",
                    Words.say(
                            "refused.driven",
                            Map.of(
                                    "person",
                                    mapper.leaseHolder(id).orElse("Somebody"),
                                    "device",
                                    device.name())),
                    Map.of());
        }
        try {
            return does.get();
        } finally {
            mapper.releaseLease(id, holder);
        }
    }

    /** Asks, which disturbs nobody: over the link that is open, else over one beside. */
    public <T> T asking(Jobs.Stored stored, Device device, Function<HeadLink, T> asked) {
        Optional<CameraLink> open = links.find(id(stored, device));
        return open.isPresent() ? asked.apply(open.get().link()) : aside(stored, device, asked);
    }

    private <T> T aside(Jobs.Stored stored, Device device, Function<HeadLink, T> told) {
        try (HeadLink link = links.told(stored, device)) {
            return told.apply(link);
        }
    }

    private Optional<CameraLink> own(CameraId id, Person by) {
        return links.find(id)
                .filter(l -> mapper.leaseHolder(id).filter(by.displayName()::equals).isPresent());
    }

    private static CameraId id(Jobs.Stored stored, Device device) {
        return new CameraId(stored.id(), device.id().value());
    }
}
