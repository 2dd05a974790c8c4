package app.jerboa.core.job.cabling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.cabling.check.CablingChecks;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class StreamPlanTest {
    private static final Profile CAMERA =
            SomeProfiles.of("net-head", "Net head", Sort.COMPACT_PTZ)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL_AND_PICTURE)
                    .streaming("rtsp://{address}:{port}/1")
                    .profile();

    private final JobUnderTest job = new JobUnderTest(CabledHall.ROUTER, CabledHall.SWITCH, CAMERA);

    private StreamPlan streams() {
        Job read = job.job();
        return StreamPlan.of(Cabling.of(read));
    }

    /** H.264 at 1080p50: 1920 x 1080 x 30 x 0.12 x (50/30)^0.6 = 10.14 Mb/s. */
    @Test
    void sumsUpTowardsTheRouter() {
        long router = job.device("Router", CabledHall.ROUTER);
        long near = job.device("Near", CabledHall.SWITCH);
        long far = job.device("Far", CabledHall.SWITCH);
        job.run(near, "UPLINK 1", router, "LAN 1", "data", 10);
        job.run(far, "UPLINK 1", near, "UPLINK 2", "data", 10);
        long one = job.device("L1", CAMERA, Field.VIEWERS, 2);
        long two = job.device("L2", CAMERA, Field.VIEWERS, 1, Field.STREAM_RATE, 6);
        job.device("L3", CAMERA, Field.VIEWERS, 9);
        job.run(near, "PORT 1", one, "LAN", "data", 10);
        job.run(far, "PORT 1", two, "LAN", "data", 10);
        Map<String, Double> loads =
                streams().loads().entrySet().stream()
                        .collect(
                                Collectors.toMap(
                                        e -> e.getKey().from().toString(), Map.Entry::getValue));
        double each = 1920 * 1080 * 30 * 0.12 * Math.pow(50 / 30.0, 0.6) / 1e6;
        assertThat(loads)
                .containsOnlyKeys("Near UPLINK 1", "Far UPLINK 1", "Near PORT 1", "Far PORT 1");
        assertThat(loads.get("Near UPLINK 1")).isEqualTo(2 * each + 6, within(1e-9));
        assertThat(loads.get("Far UPLINK 1")).isEqualTo(6);
    }

    @Test
    void warnsWhereALinkCarriesTooMuch() {
        long router = job.device("Router", CabledHall.ROUTER);
        long near = job.device("Near", CabledHall.SWITCH);
        job.run(near, "UPLINK 1", router, "LAN 1", "data", 10);
        long camera = job.device("L1", CAMERA, Field.VIEWERS, 8, Field.STREAM_RATE, 100);
        job.run(near, "PORT 1", camera, "LAN", "data", 10);
        assertThat(job.codes(CablingChecks::check)).containsExactly("NET-UPLINK");
    }

    @Test
    void saysWhatToTypeToSeeIt() {
        job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21");
        job.device("L2", CAMERA);
        assertThat(StreamPlan.address(job.job().devices().get(0)))
                .contains("rtsp://10.44.8.21:554/1");
        assertThat(StreamPlan.address(job.job().devices().get(1))).isEmpty();
    }
}
