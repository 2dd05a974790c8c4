package app.jerboa.core.job.control;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.profile.PresetHome;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import org.junit.jupiter.api.Test;

/** The first controller that can name a view does; what cannot says why. */
class PresetNumberingTest {
    private static final Profile PTZ =
            SomeProfiles.of("ptz", "PTZ", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .speaking(
                            Protocol.VISCA_IP,
                            Transport.UDP,
                            false,
                            RemoteFunction.PAN_TILT,
                            RemoteFunction.PRESETS)
                    .profile();
    private static final Profile STICK =
            stick("stick", RemoteFunction.PRESETS).presets(16, PresetHome.CAMERA, 1, 8).profile();
    private static final Profile MUTE =
            stick("mute", RemoteFunction.PAN_TILT).presets(16, PresetHome.CAMERA, 0, 0).profile();
    private static final Profile TABLET =
            stick("tablet", RemoteFunction.PRESETS)
                    .presets(50, PresetHome.SOFTWARE, 1, 0)
                    .profile();

    private final JobUnderTest test = new JobUnderTest(PTZ, STICK, MUTE, TABLET);
    private final long camera = test.device("L1", PTZ);

    private static SomeProfiles stick(String id, RemoteFunction carries) {
        return SomeProfiles.of(id, id, Sort.IP_STICK)
                .at("172.29.3.20")
                .keys(8, 1, false)
                .speaking(Protocol.VISCA_IP, Transport.UDP, true, carries);
    }

    private PresetNumbering on(Profile key, Profile second) {
        test.line(
                1,
                camera,
                Field.CONTROLLER,
                test.device("One", key),
                Field.KEY,
                3,
                Field.ALSO,
                test.device("Two", second),
                Field.ALSO_KEY,
                4);
        return PresetNumbering.of(test.job());
    }

    private String called(PresetNumbering numbering, int number) {
        return numbering.called(new DeviceId(camera), number);
    }

    @Test
    void theControllerOfItsKeyNamesItsViews() {
        PresetNumbering numbering = on(STICK, MUTE);
        assertThat(called(numbering, 8)).isEqualTo("2-1");
        assertThat(called(numbering, 16)).as("beyond its last key").isEmpty();
        assertThat(numbering.callers(new DeviceId(camera)))
                .extracting(PresetCaller::how)
                .containsExactly(PresetCaller.How.CALLS, PresetCaller.How.NOT_CARRIED);
    }

    @Test
    void oneThatCannotLeavesItToTheNext() {
        PresetNumbering numbering = on(TABLET, STICK);
        assertThat(called(numbering, 0)).isEqualTo("1-1");
        assertThat(numbering.callers(new DeviceId(camera)))
                .extracting(PresetCaller::how)
                .containsExactly(PresetCaller.How.KEEPS_ITS_OWN, PresetCaller.How.CALLS);
    }

    @Test
    void withoutOneTheCamerasOwnNumbersHold() {
        assertThat(called(on(TABLET, MUTE), 7)).isEqualTo("7");
        assertThat(PresetNumbering.of(test.job()).called(new DeviceId(999), 7)).isEqualTo("7");
    }
}
