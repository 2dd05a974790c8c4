package app.jerboa.server.knobs;

import app.jerboa.core.value.DeviceId;
import app.jerboa.wire.link.http.Pins;
import java.util.Optional;

/** The certificate a device of a job showed first, in the database. */
record StoredPins(PinMapper mapper, Certificates certificates, long job, DeviceId device)
        implements Pins {
    @Override
    public Optional<String> pinned() {
        return mapper.find(job, device.value());
    }

    @Override
    public void pin(String sha256) {
        mapper.pin(job, device.value(), sha256);
    }

    @Override
    public void shown(String sha256) {
        certificates.shown(job, device, sha256);
    }
}
