package app.jerboa.core.job.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.control.LinesMaking;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.profile.AudioWay;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.LensFit;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each code of lines: there when it should be, not when not, gone after its fix. */
class LineChecksTest {
    private static final RemoteFunction[] DRIVE = {
        RemoteFunction.PAN_TILT, RemoteFunction.ZOOM, RemoteFunction.FOCUS
    };
    private static final Profile PTZ =
            SomeProfiles.of("ptz", "PTZ", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .ids(1, 7)
                    .optics(LensFit.BUILT_IN, true, false)
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false, DRIVE)
                    .sound(1, AudioWay.SDI)
                    .clash("SDI", "USB")
                    .port("SDI", Join.SDI_OUT, 1, PortUse.PICTURE)
                    .profile();
    private static final Profile SERIAL =
            SomeProfiles.of("serial", "Serial PTZ", Sort.CEILING_PTZ)
                    .ids(1, 7)
                    .optics(LensFit.BUILT_IN, true, false)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, false, DRIVE)
                    .port("SERVICE", Join.USB_DEVICE, 1, PortUse.CONFIGURATION)
                    .profile();
    private static final Profile SHOULDER =
            SomeProfiles.of("shoulder", "Shoulder", Sort.SHOULDER_CAMERA)
                    .withOption("172.29.3.60")
                    .firstLogin()
                    .optics(LensFit.INTERCHANGEABLE, false, false)
                    .speaking(
                            Protocol.PANEL_LINK,
                            Transport.TCP,
                            false,
                            RemoteFunction.EXPOSURE,
                            RemoteFunction.PAINT,
                            RemoteFunction.TALLY)
                    .profile();
    private static final Profile GIMBAL =
            SomeProfiles.of("gimbal", "Gimbal", Sort.GIMBAL_CAMERA)
                    .optics(LensFit.INTERCHANGEABLE, false, false)
                    .head(OptionalDouble.empty(), OptionalDouble.empty(), 3)
                    .needingSplitter()
                    .speaking(Protocol.SHORT_RANGE, Transport.RADIO, false, RemoteFunction.PAN_TILT)
                    .speaking(Protocol.LENS_MOTOR, Transport.LEAD, false, RemoteFunction.ZOOM)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .keys(8, 1, false, OptionalInt.of(2))
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true, DRIVE)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, true, DRIVE)
                    .profile();
    private static final Profile FAR_STICK =
            SomeProfiles.of("far", "Stick at another port", Sort.IP_STICK)
                    .keys(8, 1, false)
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true, 1259, DRIVE)
                    .profile();
    private static final Profile PANEL =
            SomeProfiles.of("panel", "Panel", Sort.PAINT_PANEL)
                    .at("172.29.3.30")
                    .keys(24, 1, false)
                    .speaking(
                            Protocol.PANEL_LINK,
                            Transport.TCP,
                            true,
                            RemoteFunction.EXPOSURE,
                            RemoteFunction.PAINT,
                            RemoteFunction.TALLY)
                    .profile();
    private static final Profile USB_PAD =
            SomeProfiles.of("pad", "Pad", Sort.CONTROL_SOFTWARE)
                    .keys(4, 1, false)
                    .speaking(Protocol.USB_CAMERA, Transport.USB, true, DRIVE)
                    .profile();
    private static final Profile TABLET =
            SomeProfiles.of("tablet", "Tablet", Sort.CONTROL_APP)
                    .keys(20, 1, false)
                    .speaking(Protocol.SHORT_RANGE, Transport.RADIO, true, RemoteFunction.PAN_TILT)
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true, RemoteFunction.ZOOM)
                    .profile();
    private static final Profile BRIDGE =
            SomeProfiles.of("bridge", "Bridge", Sort.CONTROL_BRIDGE)
                    .at("10.90.0.5")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false, RemoteFunction.ZOOM)
                    .speaking(Protocol.LENS_MOTOR, Transport.LEAD, true, RemoteFunction.ZOOM)
                    .profile();
    private static final Profile ADAPTER =
            SomeProfiles.of("adapter", "Adapter", Sort.NETWORK_ADAPTER).profile();
    private static final Profile SPLITTER =
            SomeProfiles.of("splitter", "Splitter", Sort.POE_SPLITTER).profile();
    private static final Profile LENS =
            SomeProfiles.of("lens", "Lens", Sort.LENS)
                    .optics(LensFit.IS_A_LENS, false, false)
                    .profile();
    private static final Profile MOTOR =
            SomeProfiles.of("motor", "Motor", Sort.ZOOM_MOTOR)
                    .speaking(Protocol.LENS_MOTOR, Transport.LEAD, false, RemoteFunction.ZOOM)
                    .profile();
    private static final Profile SWITCHER =
            SomeProfiles.of("switcher", "Switcher", Sort.VIDEO_SWITCHER)
                    .port("INPUT", Join.SDI_IN, 4, PortUse.PICTURE)
                    .sound(0)
                    .profile();

    private final JobUnderTest job =
            new JobUnderTest(
                    PTZ, SERIAL, SHOULDER, GIMBAL, STICK, FAR_STICK, PANEL, USB_PAD, TABLET, BRIDGE,
                    ADAPTER, SPLITTER, LENS, MOTOR, SWITCHER);

    private List<String> codes() {
        return job.codes(LineChecks::check);
    }

    private Finding only(String code) {
        return job.only(code, LineChecks::check);
    }

    private void goneAfter(Finding finding, int fix) {
        assertThat(job.after(finding.fixes().get(fix), LineChecks::check))
                .doesNotContain(finding.code().code());
    }

    @Test
    void aSoundLineHasNoFinding() {
        long stick = job.device("Stick", STICK);
        job.line(1, job.device("L1", PTZ), Field.CONTROLLER, stick, Field.KEY, 1);
        assertThat(codes()).isEmpty();
    }

    @Test
    void twoCamerasOnOneKeyOrInputMoveApart() {
        long stick = job.device("Stick", STICK);
        long switcher = job.device("Switcher", SWITCHER);
        for (int n = 1; n <= 2; n++) {
            job.line(
                    n,
                    job.device("L" + n, PTZ),
                    Field.CONTROLLER,
                    stick,
                    Field.KEY,
                    2,
                    Field.SWITCHER,
                    switcher,
                    Field.INPUT,
                    2);
        }
        assertThat(codes()).contains("KEY-DUP", "PORT-TWICE");
        goneAfter(only("KEY-DUP"), 0);
        goneAfter(only("PORT-TWICE"), 0);
        assertThat(only("KEY-DUP").fixes().get(0).changes().edits())
                .extracting(JobUnderTest::text)
                .allMatch(t -> t.endsWith("key 2>1"));
    }

    @ParameterizedTest
    @CsvSource({"8, ''", "9, KEY-FULL"})
    void aKeyBeyondTheLastIsRefused(int key, String code) {
        long stick = job.device("Stick", STICK);
        job.line(key, job.device("L", PTZ), Field.CONTROLLER, stick, Field.KEY, key);
        assertThat(codes().contains("KEY-FULL")).isEqualTo(!code.isEmpty());
    }

    @Test
    void moreSerialCamerasThanTheStickTakes() {
        long stick = job.device("Stick", STICK);
        for (int n = 1; n <= 3; n++) {
            job.line(n, job.device("L" + n, SERIAL), Field.CONTROLLER, stick, Field.KEY, n);
        }
        assertThat(only("KEY-FULL").facts()).containsEntry("what", "serial");
    }

    @Test
    void oneIdTwiceOnAChainAndOneThatCannotBe() {
        long stick = job.device("Stick", STICK);
        job.line(
                1,
                job.device("L1", SERIAL),
                Field.CONTROLLER,
                stick,
                Field.KEY,
                1,
                Field.CONTROL_ID,
                2);
        job.line(2, job.device("L2", SERIAL), Field.CONTROLLER, stick, Field.KEY, 2);
        Finding twice = only("ID-DUP");
        assertThat(twice.facts()).containsEntry("id", "2");
        goneAfter(twice, 0);
        job.line(
                3,
                job.device("L3", SERIAL),
                Field.CONTROLLER,
                stick,
                Field.KEY,
                3,
                Field.CONTROL_ID,
                9);
        goneAfter(only("ID-RANGE"), 0);
    }

    @Test
    void oneIdOnTheNetworkIsNobodysTrouble() {
        long stick = job.device("Stick", STICK);
        for (int n = 1; n <= 2; n++) {
            job.line(
                    n,
                    job.device("L" + n, PTZ),
                    Field.CONTROLLER,
                    stick,
                    Field.KEY,
                    n,
                    Field.CONTROL_ID,
                    1);
        }
        assertThat(codes()).doesNotContain("ID-DUP");
    }

    @Test
    void numbersThatDisagreeAreBroughtTogether() {
        long stick = job.device("Stick", STICK);
        long switcher = job.device("Switcher", SWITCHER);
        for (int n = 1; n <= 2; n++) {
            job.line(
                    n,
                    job.device("L" + n, PTZ),
                    Field.CONTROLLER,
                    stick,
                    Field.KEY,
                    n,
                    Field.SWITCHER,
                    switcher,
                    Field.INPUT,
                    3 - n);
        }
        Finding found = only("ID-DISAGREE");
        assertThat(found.facts()).containsEntry("cost", "6").containsEntry("changes", "2");
        for (int fix = 0; fix < found.fixes().size(); fix++) {
            goneAfter(found, fix);
        }
    }

    @Test
    void aCameraThatItsControllerCannotTalkTo() {
        long panel = job.device("Panel", PANEL);
        job.line(1, job.device("L1", PTZ), Field.CONTROLLER, panel, Field.KEY, 1);
        assertThat(only("CTRL-NO-PROTOCOL").facts()).containsEntry("what", "locked");
    }

    @Test
    void aSetUpSocketIsNoControl() {
        long pad = job.device("Pad", USB_PAD);
        job.line(1, job.device("L1", SERIAL), Field.CONTROLLER, pad, Field.KEY, 1);
        assertThat(codes()).contains("CTRL-CONFIG-PORT").doesNotContain("CTRL-NO-PROTOCOL");
    }

    @Test
    void portsThatDiffer() {
        long stick = job.device("Stick", FAR_STICK);
        job.line(1, job.device("L1", PTZ), Field.CONTROLLER, stick, Field.KEY, 1);
        assertThat(only("CTRL-PORT").facts())
                .containsEntry("answers", "52381")
                .containsEntry("sends", "1259");
    }

    @Test
    void aCameraWithoutItsAdapterGetsOneThatLiesLooseOrOneMoreIsAdded() {
        long panel = job.device("Panel", PANEL);
        job.line(1, job.device("L1", SHOULDER), Field.PANEL, panel, Field.PANEL_KEY, 1);
        assertThat(only("CTRL-NO-NETWORK").fixes()).extracting(Fix::key).containsExactly("add");
        job.device("Adapter", ADAPTER);
        Finding found = only("CTRL-NO-NETWORK");
        assertThat(job.after(found.fixes().get(0), LineChecks::check))
                .containsExactly("CTRL-REMOTE-OFF");
    }

    @Test
    void aFunctionWithoutARouteAndOneWithoutAKey() {
        job.device("Stick", STICK);
        job.line(1, job.device("L1", PTZ));
        assertThat(only("CTRL-FUNCTION").facts())
                .containsEntry("functions", "pan/tilt, zoom, focus")
                .containsEntry("what", "key")
                .containsEntry("controllers", "Stick");
        goneAfter(only("CTRL-FUNCTION"), 0);
        job.line(2, job.device("L2", PTZ), Field.WANTS, "tracking");
        assertThat(LineChecks.check(job.job()))
                .filteredOn(f -> f.code().code().equals("CTRL-FUNCTION"))
                .extracting(f -> f.facts().get("functions") + " " + f.facts().get("what"))
                .contains("tracking never");
    }

    @Test
    void theGimbalNeedsAMotorToZoomAndAWiredWayToTurn() {
        long tablet = job.device("Tablet", TABLET);
        long camera = job.device("L1", GIMBAL);
        job.line(1, camera, Field.CONTROLLER, tablet, Field.KEY, 1);
        job.device("Bridge", BRIDGE, Field.FITTED, camera);
        assertThat(codes()).contains("LENS-NONE");
        job.device("Lens", LENS);
        job.device("Motor", MOTOR);
        goneAfter(only("LENS-NONE"), 0);
    }

    @Test
    void aLensThatDoesNotZoomGetsAMotorOrStaysAsItIs() {
        long tablet = job.device("Tablet", TABLET);
        long camera = job.device("L1", GIMBAL);
        job.line(1, camera, Field.CONTROLLER, tablet, Field.KEY, 1);
        job.device("Bridge", BRIDGE, Field.FITTED, camera);
        job.device("Lens", LENS, Field.FITTED, camera);
        job.device("Motor", MOTOR);
        assertThat(codes()).contains("LENS-NO-SERVO", "CTRL-WIRELESS", "LENS-SWITCHES");
        Finding found = only("LENS-NO-SERVO");
        assertThat(found.fixes()).hasSize(2);
        goneAfter(found, 0);
        goneAfter(found, 1);
        assertThat(job.after(found.fixes().get(0), LineChecks::check))
                .doesNotContain("CTRL-FUNCTION");
    }

    @Test
    void twoControllersForOneCameraAreShown() {
        long stick = job.device("Stick", STICK);
        long panel = job.device("Panel", PANEL);
        Profile both =
                SomeProfiles.of("both", "Both", Sort.CINEMA_HEAD)
                        .at("192.168.77.20")
                        .speaking(Protocol.VISCA_IP, Transport.UDP, false, DRIVE)
                        .speaking(
                                Protocol.PANEL_LINK, Transport.TCP, false, RemoteFunction.EXPOSURE)
                        .profile();
        JobUnderTest split = new JobUnderTest(STICK, PANEL, both);
        split.device("Stick", STICK);
        split.device("Panel", PANEL);
        split.line(
                1,
                split.device("L1", both),
                Field.CONTROLLER,
                stick,
                Field.KEY,
                1,
                Field.PANEL,
                panel,
                Field.PANEL_KEY,
                1);
        assertThat(split.codes(LineChecks::check)).containsExactly("CTRL-SPLIT");
    }

    @Test
    void soundThatIsWantedHasAPathOnceSomebodyTakesIt() {
        long stick = job.device("Stick", STICK);
        job.line(
                1,
                job.device("L1", PTZ),
                Field.CONTROLLER,
                stick,
                Field.KEY,
                1,
                Field.WANTS,
                "pan-tilt audio");
        assertThat(codes()).containsExactly("AUD-PATH");
        job.device("Switcher", SWITCHER);
        assertThat(codes()).isEmpty();
    }

    @Test
    void powerOverEthernetThroughASplitterOnly() {
        job.line(1, job.device("L1", GIMBAL));
        job.device("Splitter", SPLITTER);
        assertThat(codes()).doesNotContain("POE-NONE");
        job.site(Field.PRACTICE_POWER, "poe");
        goneAfter(only("POE-NONE"), 0);
    }

    @Test
    void aChoiceThatCannotBeAnyMoreGoesBackToWhatIsProposed() {
        long stick = job.device("Stick", STICK);
        long line = job.line(1, job.device("L1", PTZ), Field.CONTROLLER, stick, Field.KEY, 1);
        job.add(
                ItemKind.ROUTE,
                Field.ROUTE_LINE,
                line,
                Field.ROUTE_FUNCTION,
                "zoom",
                Field.ROUTE_BY,
                stick,
                Field.ROUTE_PROTOCOL,
                "onvif");
        Finding found = only("CTRL-NO-PROTOCOL");
        assertThat(found.facts()).containsEntry("what", "chosen");
        goneAfter(found, 0);
    }

    @Test
    void outputsThatExcludeEachOther() {
        Profile usb =
                SomeProfiles.of("usb", "USB PTZ", Sort.COMPACT_PTZ)
                        .optics(LensFit.BUILT_IN, true, false)
                        .speaking(Protocol.USB_CAMERA, Transport.USB, false, DRIVE)
                        .port("SDI", Join.SDI_OUT, 1, PortUse.PICTURE)
                        .port("USB", Join.USB_DEVICE, 1, PortUse.CONTROL_AND_PICTURE)
                        .clash("SDI", "USB")
                        .profile();
        JobUnderTest both = new JobUnderTest(USB_PAD, SWITCHER, usb);
        long pad = both.device("Pad", USB_PAD);
        long switcher = both.device("Switcher", SWITCHER);
        long camera = both.device("L1", usb);
        both.line(1, camera, Field.CONTROLLER, pad, Field.KEY, 1);
        assertThat(both.codes(LineChecks::check)).isEmpty();
        both.line(
                2,
                camera,
                Field.SWITCHER,
                switcher,
                Field.INPUT,
                2,
                Field.CONTROLLER,
                pad,
                Field.KEY,
                2);
        assertThat(both.codes(LineChecks::check)).contains("VID-OUTPUTS");
    }

    @Test
    void aLensGoesToTheCameraThatZoomsAndNotToTheFirst() {
        job.line(1, job.device("L1", SHOULDER));
        long gimbal = job.device("L2", GIMBAL);
        job.line(2, gimbal);
        long lens = job.device("Lens", LENS);
        Job after = job.after(LinesMaking.missing(job.editor(), job.job()));
        assertThat(after.device(new DeviceId(lens)).orElseThrow().fitted())
                .contains(new DeviceId(gimbal));
    }

    @Test
    void aTallyOfItsOwnThatDiffersGoesBackToItsInput() {
        long stick = job.device("Stick", STICK);
        long switcher = job.device("Switcher", SWITCHER);
        job.line(
                1,
                job.device("L1", PTZ),
                Field.CONTROLLER,
                stick,
                Field.KEY,
                1,
                Field.SWITCHER,
                switcher,
                Field.INPUT,
                1,
                Field.TALLY,
                3);
        Finding found = only("ID-DISAGREE");
        assertThat(found.facts()).containsEntry("cost", "0");
        goneAfter(found, 0);
        assertThat(found.fixes().get(0).changes().edits())
                .extracting(JobUnderTest::text)
                .containsExactly("line " + job.job().lines().get(0).id() + " tally 3>");
    }

    @ParameterizedTest
    @CsvSource({
        "WANTS, 'zoom pan-tilt'",
        "WANTS, 'zoom zoom'",
        "WANTS, 'zoom  focus'",
        "WANTS, nose",
        "TALLY, 0",
        "INPUT, 2",
        "PANEL_KEY, 2",
    })
    void textsThatSayNothingAreRefused(Field field, String text) {
        job.line(1, job.device("L1", PTZ), field, text);
        assertThatThrownBy(job::job).isInstanceOf(ItemRejected.class);
    }

    @ParameterizedTest
    @CsvSource({"-2001", "2001", "--1", "-0", "1.5", "-"})
    void aPlaceOnTheSlideIsAWholeNumberOfMillimetres(String text) {
        job.device("Lens", LENS, Field.ALONG, text);
        assertThatThrownBy(job::job).isInstanceOf(ItemRejected.class);
    }
}
