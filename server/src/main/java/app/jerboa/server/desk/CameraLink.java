package app.jerboa.server.desk;

import app.jerboa.core.motion.StickLaw;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Presets;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.HeadLink;
import java.util.Optional;

/**
 * An open link to one camera, and what is known of it and of how the house drives.
 *
 * @param holder of the lease under which it is driven
 * @param profile its kind, by the id of its profile
 * @param presets what it can keep, if anything
 * @param law of the house
 */
record CameraLink(
        CameraId id,
        String holder,
        String name,
        String profile,
        Head head,
        Optional<Presets> presets,
        StickLaw law,
        HeadLink link,
        WireLog log) {
    long device() {
        return id.device();
    }
}
