package app.jerboa.server.world;

import app.jerboa.wire.link.WireLog;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * The last frames of every head that this server talked to, a ring each, kept when its link is let
 * go; of those talked to longest ago the rings are forgotten.
 */
@Component
public class WireLogs {
    private static final int FRAMES = 1_000;
    private static final int MOST = 64;

    private record Head(long job, long device) {}

    private final Map<Head, WireLog> logs =
            new LinkedHashMap<>(MOST, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Head, WireLog> eldest) {
                    return size() > MOST;
                }
            };

    public synchronized WireLog of(long job, long device) {
        return logs.computeIfAbsent(new Head(job, device), h -> new WireLog(FRAMES));
    }

    /** By device, oldest frame first. */
    public Map<Long, List<WireLog.Entry>> ofJob(long job) {
        Map<Long, WireLog> kept = new TreeMap<>();
        synchronized (this) {
            logs.forEach(
                    (head, log) -> {
                        if (head.job() == job) {
                            kept.put(head.device(), log);
                        }
                    });
        }
        Map<Long, List<WireLog.Entry>> all = new TreeMap<>();
        kept.forEach((device, log) -> all.put(device, log.entries()));
        return all;
    }
}
