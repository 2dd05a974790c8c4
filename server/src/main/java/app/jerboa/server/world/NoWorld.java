package app.jerboa.server.world;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/** Nothing to reach: plans are made and checked, and what is done is ticked by hand. */
public final class NoWorld implements World {
    static final String WITHOUT_RIG = Words.say("refused.no-rig");

    private final WorldChoice which;

    /**
     * @param which the one that is not there, or none
     */
    NoWorld(WorldChoice which) {
        this.which = which;
    }

    @Override
    public WorldChoice which() {
        return which;
    }

    @Override
    public boolean there() {
        return false;
    }

    @Override
    public Standpoint standpoint(Jobs.Stored stored) {
        return Standpoint.UNKNOWN;
    }

    @Override
    public WorldTime time() {
        return new WorldTime(InstantSource.system().instant(), 1);
    }

    @Override
    public Optional<Laptop> laptop(Jobs.Stored stored) {
        return Optional.empty();
    }

    @Override
    public boolean canAsk(Device device) {
        return false;
    }

    @Override
    public Reach reach(Jobs.Stored stored, Ipv4 address) {
        throw nothing();
    }

    @Override
    public Reach look(Jobs.Stored stored, Ipv4 address) {
        throw nothing();
    }

    @Override
    public List<Door> doors(Jobs.Stored stored, Answering answering) {
        return List.of();
    }

    @Override
    public List<Heard> askAll(Jobs.Stored stored) {
        throw nothing();
    }

    @Override
    public Optional<Ipv4> addressNow(Jobs.Stored stored, Device device) {
        return Optional.empty();
    }

    private Problem nothing() {
        return which == WorldChoice.NONE
                ? new Problem(HttpStatus.CONFLICT, "no-world", Words.say("refused.no-world"))
                : withoutRig();
    }

    /** Why the rig cannot be reached, and what to do. */
    public static Problem withoutRig() {
        return new Problem(HttpStatus.SERVICE_UNAVAILABLE, "no-rig", WITHOUT_RIG);
    }
}
