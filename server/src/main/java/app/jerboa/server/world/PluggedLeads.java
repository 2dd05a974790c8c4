package app.jerboa.server.world;

import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.desk.DeskEnd;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.value.DeviceId;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * Which of several leads is in the one socket that they come to, as people say it. Heads of two
 * leads may answer to one number, and what is meant for one would move the other. Where one lead
 * alone comes, or it is there by the plan and nothing else was said, nobody needs to say it.
 *
 * <p>Kept while this server runs: after a start it is said anew, for a lead may have been moved
 * meanwhile.
 */
@Component
public class PluggedLeads {
    private record Said(long job, Set<DeviceId> cameras, String by) {
        boolean isOf(long other, ChainOrBus lead) {
            return job == other && cameras.equals(lead.cameraIds());
        }
    }

    /** By socket. A port of this machine is the same one for every job. */
    private final Map<String, Said> said = new ConcurrentHashMap<>();

    private static String socket(long job, DeskWay.OverLine way) {
        return way.from()
                .match(
                        it -> job + " " + it.server().id() + " " + way.line().signal(),
                        DeskEnd.OwnPort::path);
    }

    public boolean isThere(long job, DeskWay.OverLine way) {
        Said now = said.get(socket(job, way));
        if (now == null) {
            return way.others().isEmpty() || way.planned();
        }
        // The only lead of its job is the one that was meant, whatever hangs on it by now.
        return now.isOf(job, way.line()) || now.job() == job && way.others().isEmpty();
    }

    /** Nothing goes over it until it is said, or another lead could be said to be there. */
    public boolean isToBeSaid(long job, DeskWay.OverLine way) {
        return !way.others().isEmpty() || !isThere(job, way);
    }

    /**
     * As far as anybody said. Enough for a stop: after a start nobody said anything yet, and a head
     * that this server had moving is stopped before.
     */
    public boolean mayBeThere(long job, DeskWay.OverLine way) {
        return isThere(job, way) || !said.containsKey(socket(job, way));
    }

    /** Who said that it is there; empty where nobody did. */
    public Optional<String> saidBy(long job, DeskWay.OverLine way) {
        return Optional.ofNullable(said.get(socket(job, way)))
                .filter(s -> s.isOf(job, way.line()))
                .map(Said::by);
    }

    public void say(long job, DeskWay.OverLine way, String by) {
        said.put(socket(job, way), new Said(job, way.line().cameraIds(), by));
    }

    /** It went back to where it is planned. */
    public void tookHome(long job, DeskWay.OverLine way) {
        said.computeIfPresent(
                socket(job, way), (socket, now) -> now.isOf(job, way.line()) ? null : now);
    }
}
