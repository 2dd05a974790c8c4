package app.jerboa.server.desk;

import app.jerboa.core.motion.StickLaw;
import app.jerboa.core.profile.Head;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.ViscaLink;

/** An open link to one camera, and what is known of it and of how the house drives. */
record CameraLink(CameraId id, String name, Head head, StickLaw law, ViscaLink link, WireLog log) {
    long device() {
        return id.device();
    }
}
