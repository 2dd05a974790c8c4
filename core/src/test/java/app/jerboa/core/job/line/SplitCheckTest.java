package app.jerboa.core.job.line;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SplitCheckTest {
    private static final Profile CAMERA =
            SomeProfiles.of("camera", "Camera", Sort.BOX_CAMERA)
                    .at("192.168.77.60")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                    .profile();
    private static final Profile PANEL =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .keys(8, 1, false)
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true)
                    .profile();
    private static final Profile ROUTER =
            SomeProfiles.of("router", "Router", Sort.HOUSE_ROUTER).at("192.168.77.1").profile();

    private static JobUnderTest hall(String camera, String gateway) {
        JobUnderTest job = new JobUnderTest(CAMERA, PANEL, ROUTER);
        job.add(
                ItemKind.SUBNET,
                Field.CIDR,
                "10.55.0.0/24",
                Field.SUBNET_GATEWAY,
                "10.55.0.1",
                Field.LAPTOP_HOME,
                "10.55.0.81");
        long stick =
                job.device("Stick", PANEL, Field.ADDRESS, "10.44.8.11", Field.GATEWAY, gateway);
        long one = job.device("L1", CAMERA, Field.ADDRESS, camera, Field.GATEWAY, gateway);
        job.line(1, one, Field.ALSO, stick, Field.ALSO_KEY, 1);
        return job;
    }

    @ParameterizedTest
    @CsvSource({
        "10.44.8.21, 10.44.8.254, false, ''",
        "10.55.0.21, '', true, ADDR-SPLIT",
        "10.55.0.21, 10.44.8.254, false, ADDR-SPLIT",
        "10.55.0.21, 10.44.8.254, true, ''"
    })
    void apartNeedsARouterThatBothKnow(String camera, String gateway, boolean router, String code) {
        JobUnderTest job = hall(camera, gateway);
        if (router) {
            job.device("Router", ROUTER);
        }
        assertThat(job.codes(SplitCheck::of))
                .isEqualTo(code.isEmpty() ? java.util.List.of() : java.util.List.of(code));
    }

    @Test
    void theFixBringsItBesideItsController() {
        JobUnderTest job = hall("10.55.0.21", "");
        Finding split = job.only("ADDR-SPLIT", SplitCheck::of);
        assertThat(split.fixes()).hasSize(1);
        assertThat(job.after(split.fixes().get(0), SplitCheck::of)).isEmpty();
    }
}
