package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Sort;
import app.jerboa.server.job.Jobs;
import java.util.ArrayList;
import java.util.List;

/** What devices can be asked for by a machine while nothing moves. */
final class Askable {
    private Askable() {}

    /**
     * What these devices can be asked for, each by itself, whether it answers at its address first.
     *
     * @param devices none for all of the job
     */
    static List<Proving.Test> of(Jobs.Stored stored, DeskWays ways, List<Long> devices) {
        return stored.job().devices().stream()
                // The laptop is who asks.
                .filter(d -> d.profile().sort() != Sort.LAPTOP)
                .filter(d -> devices.isEmpty() || devices.contains(d.id().value()))
                .flatMap(
                        d ->
                                of(ways.told(d), d).stream()
                                        .map(t -> new Proving.Test(d.id().value(), t)))
                .toList();
    }

    private static List<Topic> of(DeskWay way, Device d) {
        List<Topic> all = new ArrayList<>();
        boolean addressed = d.address().isPresent();
        if (addressed) {
            all.add(Topic.ADDRESS);
        }
        if (addressed && d.profile().kind() != DeviceKind.NETWORK_SWITCH) {
            all.add(Topic.LINK);
        }
        // A serial server hands on what it is asked, to whatever hangs there.
        boolean serves = DeskWays.serves(d.profile());
        if (!serves && DeviceTests.tellsFirmware(way)) {
            all.add(Topic.FIRMWARE);
        }
        if (addressed && DeviceTests.hasPage(d)) {
            all.add(Topic.ACCESS);
        }
        if (!serves && ControlTest.can(way, d)) {
            all.add(Topic.CONTROL);
        }
        if (addressed && streams(d)) {
            all.add(Topic.STREAM);
        }
        return all;
    }

    private static boolean streams(Device d) {
        return d.profile().video().filter(v -> v.streamPath().startsWith("rtsp:")).isPresent();
    }
}
