package app.jerboa.standin.lan;

import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Kebab;

/** One socket of one device, by its name. */
public record Port(DeviceId device, String name) {
    static Port of(Link.Plug plug) {
        return new Port(plug.device().id(), plug.socket().name());
    }

    /** How a port stands. */
    public enum State {
        ON,
        OFF,
        /** Its electronics are gone: nothing switches it on. */
        DEAD;

        @Override
        public String toString() {
            return Kebab.of(this);
        }
    }
}
