package app.jerboa.server.desk;

import app.jerboa.core.profile.Profile;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.ViscaLink;

/** An open link to one camera and what is known of it. */
record CameraLink(CameraId id, String name, Profile.Head head, ViscaLink link, WireLog log) {
    long device() {
        return id.device();
    }
}
