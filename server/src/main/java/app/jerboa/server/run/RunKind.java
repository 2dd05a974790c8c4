package app.jerboa.server.run;

import app.jerboa.core.value.Kebab;
import app.jerboa.server.live.Notice;
import java.util.Arrays;

/** What a machine can be at for a while. */
public enum RunKind {
    /** Tests of lines and devices. */
    PROVE(Notice.PROOF),
    /** A look at the network for devices. */
    DISCOVERY(Notice.PROOF),
    /** Cameras are sent to their next views, a shot list long. */
    SHOTS(Notice.DESK),
    /** The stored views of a camera are gone to, or written back. */
    VIEWS(Notice.DESK);

    private final String part;

    RunKind(String part) {
        this.part = part;
    }

    /** What pages read anew when it went on. */
    String part() {
        return part;
    }

    String wire() {
        return Kebab.of(this);
    }

    static RunKind of(RunKey key) {
        return Arrays.stream(values())
                .filter(k -> k.wire().equals(key.kind()))
                .findFirst()
                .orElseThrow();
    }
}
