package app.jerboa.server.knobs;

import app.jerboa.wire.link.http.Pins;
import java.util.Optional;

/** The certificate a device of a job showed first, in the database. */
record StoredPins(PinMapper mapper, long job, long device) implements Pins {
    @Override
    public Optional<String> pinned() {
        return mapper.find(job, device);
    }

    @Override
    public void pin(String sha256) {
        mapper.pin(job, device, sha256);
    }
}
