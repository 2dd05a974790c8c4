package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.addresses.JobAddresses;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Filling;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Is there a way over the network from each controller to the cameras on its keys? */
final class SplitCheck {
    private final Job job;
    private final Map<DeviceId, Device> byId = new HashMap<>();
    private final boolean router;

    private SplitCheck(Job job) {
        this.job = job;
        job.devices().forEach(d -> byId.put(d.id(), d));
        this.router = job.devices().stream().anyMatch(d -> d.profile().kind() == DeviceKind.ROUTER);
    }

    static List<Finding> of(Job job) {
        return job.subnets().size() < 2 ? List.of() : new SplitCheck(job).all();
    }

    private List<Finding> all() {
        List<Finding> found = new ArrayList<>();
        for (Line line : job.lines()) {
            line.keys()
                    .map(k -> byId.get(k.controller()))
                    .distinct()
                    .flatMap(c -> between(c, byId.get(line.camera())).stream())
                    .forEach(found::add);
        }
        return found;
    }

    private Optional<Finding> between(Device controller, Device camera) {
        Optional<Subnet> here = home(controller);
        Optional<Subnet> there = home(camera);
        boolean apart =
                here.isPresent() && there.isPresent() && here.get().id() != there.get().id();
        if (!apart || !overNetwork(controller.profile(), camera.profile())) {
            return Optional.empty();
        }
        if (!routed(controller, camera)) {
            return Optional.of(
                    finding(LineCodes.NO_WAY, controller, camera, here.get(), there.get()));
        }
        return searches(controller)
                ? Optional.of(
                        finding(LineCodes.DISCOVERY, controller, camera, here.get(), there.get()))
                : Optional.empty();
    }

    private Optional<Subnet> home(Device d) {
        return d.address()
                .flatMap(
                        a -> job.subnets().stream().filter(s -> s.range().contains(a)).findFirst());
    }

    private static boolean overNetwork(Profile controller, Profile camera) {
        return controller
                .drives(camera)
                .map(Speaks::over)
                .filter(o -> o == Transport.UDP || o == Transport.TCP)
                .isPresent();
    }

    /** The house has a router, and both sides know it as their gateway. */
    private boolean routed(Device controller, Device camera) {
        return router && controller.gateway().isPresent() && camera.gateway().isPresent();
    }

    /** A search does not cross a router; a controller that can be filled by address need not. */
    private boolean searches(Device controller) {
        List<Filling> ways = controller.profile().keys().map(Keys::filledBy).orElse(List.of());
        boolean liked = job.site().habits().practice(Field.PRACTICE_FILLING).equals("search");
        return ways.contains(Filling.SEARCH) && (liked || ways.size() == 1);
    }

    private Finding finding(
            FindingCode code, Device controller, Device camera, Subnet here, Subnet there) {
        return Finding.of(
                        code,
                        List.of(camera.id(), controller.id()),
                        Field.ADDRESS,
                        Map.of(
                                "device", camera.name(),
                                "controller", controller.name(),
                                "subnet", there.range().toString(),
                                "other", here.range().toString()))
                .withFixes(code.equals(LineCodes.NO_WAY) ? fixes(camera, here) : List.of());
    }

    private List<Fix> fixes(Device camera, Subnet here) {
        List<Edit> edits = JobAddresses.into(job, here, camera);
        return edits.isEmpty() ? List.of() : List.of(Fix.editing("other-subnet", edits));
    }
}
