package app.jerboa.server.platform;

import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** All that people hold open at this server. */
@Component
public class OpenLines {
    private final Set<OpenLine> open = ConcurrentHashMap.newKeySet();

    public void add(OpenLine line) {
        open.add(line);
    }

    public void remove(OpenLine line) {
        open.remove(line);
    }

    public List<OpenLine> all() {
        return List.copyOf(open);
    }
}
