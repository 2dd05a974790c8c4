package app.jerboa.core.job.control;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.LensFit;
import app.jerboa.core.profile.Optics;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** What must be fitted to a camera before it can do what is wanted of it. */
public final class Fittings {
    private static final Set<RemoteFunction> THROUGH_THE_LENS =
            EnumSet.of(RemoteFunction.ZOOM, RemoteFunction.FOCUS);

    private Fittings() {}

    /** The sorts that are missing, in the order of {@link Sort}. */
    public static Set<Sort> missing(Line line, KitIndex kit, ControlRoutes routes) {
        Device camera = kit.device(line.camera());
        Set<RemoteFunction> wanted = Wanted.of(line, camera.profile());
        Optional<Device> lens = kit.fitted(camera.id(), Sort.LENS);
        Set<Sort> missing = EnumSet.noneOf(Sort.class);
        if (takesLens(camera)
                && lens.isEmpty()
                && !Collections.disjoint(wanted, THROUGH_THE_LENS)) {
            missing.add(Sort.LENS);
        }
        if (lens.isPresent() && wanted.contains(RemoteFunction.ZOOM) && !routes.zooms(camera)) {
            missing.add(Sort.ZOOM_MOTOR);
        }
        if (routes.lacksNetwork(camera)) {
            missing.add(Sort.NETWORK_ADAPTER);
        }
        if (camera.profile().answers(Protocol.SHORT_RANGE).isPresent()) {
            missing.add(Sort.CONTROL_BRIDGE);
        }
        if (camera.profile().draw().filter(PowerDraw::splitter).isPresent()) {
            missing.add(Sort.POE_SPLITTER);
        }
        missing.removeIf(s -> kit.fitted(camera.id(), s).isPresent());
        return missing;
    }

    private static boolean takesLens(Device camera) {
        return camera.profile()
                .optics()
                .map(Optics::fit)
                .filter(LensFit.INTERCHANGEABLE::equals)
                .isPresent();
    }

    /**
     * The first one on the van that is fitted to nothing, fitted to this camera.
     *
     * @param spoken loose ones that are promised to others
     */
    public static Optional<Edit> fit(
            Job job, Device camera, Sort sort, Collection<DeviceId> spoken) {
        return job.devices().stream()
                .filter(d -> d.profile().sort() == sort && d.fitted().isEmpty())
                .filter(d -> !spoken.contains(d.id()))
                .findFirst()
                .map(d -> Edit.of(d.id(), Field.FITTED, "", camera.id().toString()));
    }
}
