package app.jerboa.core.job.line;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.kit.KitChecks;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What lines and kit make of runs once they are drawn. */
class RunsInLineChecksTest {
    private static final Profile BOX =
            SomeProfiles.of("box", "Box", Sort.BOX_CAMERA)
                    .speaking(Protocol.RETURN_FEED, Transport.SDI, false, RemoteFunction.TALLY)
                    .sending("1080p50", "1080p25")
                    .port("HDMI", Join.HDMI_OUT, 1, PortUse.PICTURE)
                    .port("SDI IN", Join.SDI_IN, 1, PortUse.CONTROL)
                    .clash("SDI", "HDMI")
                    .profile();
    private static final Profile MIXER =
            SomeProfiles.of("mixer", "Mixer", Sort.VIDEO_SWITCHER)
                    .speaking(Protocol.RETURN_FEED, Transport.SDI, true, RemoteFunction.TALLY)
                    .port("INPUT", Join.SDI_IN, 4, PortUse.PICTURE)
                    .port("HDMI", Join.HDMI_IN, 2, PortUse.PICTURE)
                    .port("AUX", Join.SDI_OUT, 2, PortUse.CONTROL_AND_PICTURE)
                    .profile();
    private static final Profile SCALER =
            SomeProfiles.of("scaler", "Scaler", Sort.CONVERTER)
                    .port("SDI IN", Join.SDI_IN, 1, PortUse.PICTURE)
                    .port("SDI OUT", Join.SDI_OUT, 1, PortUse.PICTURE)
                    .converting()
                    .profile();

    private final JobUnderTest job = new JobUnderTest(BOX, MIXER, SCALER);

    private long boxOnInputOne(long mixer, Object... more) {
        long box = job.device("L1", BOX, more);
        job.line(1, box, Field.SWITCHER, mixer, Field.INPUT, 1, Field.WANTS, "tally");
        return box;
    }

    @Test
    void tallyInTheReturnPictureWantsOneThatComesBack() {
        long mixer = job.device("Mixer", MIXER);
        long box = boxOnInputOne(mixer);
        assertThat(job.codes(LineChecks::check)).doesNotContain("VID-RETURN");
        job.run(box, "SDI", mixer, "INPUT 1", "coax-rg6", 10);
        assertThat(job.only("VID-RETURN", LineChecks::check).facts())
                .containsEntry("functions", "tally");
        job.run(mixer, "AUX 1", box, "SDI IN", "coax-rg6", 10);
        assertThat(job.codes(LineChecks::check)).doesNotContain("VID-RETURN");
    }

    @Test
    void outputsThatExcludeEachOtherAreSeenOnceBothHaveALead() {
        long mixer = job.device("Mixer", MIXER);
        long box = boxOnInputOne(mixer);
        job.run(box, "SDI", mixer, "INPUT 1", "coax-rg6", 10);
        assertThat(job.codes(LineChecks::check)).doesNotContain("VID-OUTPUTS");
        job.run(box, "HDMI", mixer, "HDMI 1", "hdmi", 3);
        assertThat(job.codes(LineChecks::check)).contains("VID-OUTPUTS");
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void anotherFormatIsRightWhereAScalerTakesIt(boolean through) {
        long mixer = job.device("Mixer", MIXER);
        long scaler = job.device("Scaler", SCALER);
        long box = boxOnInputOne(mixer, Field.FORMAT_SET, "1080p25");
        if (through) {
            job.run(box, "SDI", scaler, "SDI IN", "coax-rg6", 10);
            job.run(scaler, "SDI OUT", mixer, "INPUT 1", "coax-rg6", 10);
        } else {
            job.run(box, "SDI", mixer, "INPUT 1", "coax-rg6", 10);
        }
        assertThat(job.codes(KitChecks::check).contains("VID-FORMAT")).isEqualTo(!through);
    }
}
