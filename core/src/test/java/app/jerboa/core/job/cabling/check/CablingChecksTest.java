package app.jerboa.core.job.cabling.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.line.LineChecks;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Each rule once with its finding, and every fix it offers clears it. */
class CablingChecksTest {
    private static SomeProfiles profile(String id, Sort sort) {
        return SomeProfiles.of(id, id, sort);
    }

    private static Profile poeSwitch(String id, int ports, double budget) {
        return profile(id, Sort.POE_SWITCH)
                .giving(ports, budget)
                .port("PORT", Join.ETHERNET, 8, PortUse.NETWORK)
                .port("CONSOLE", Join.CONSOLE, 1, PortUse.CONFIGURATION)
                .profile();
    }

    private static final Profile SWITCH = poeSwitch("switch", 8, 60);
    private static final Profile BIG = poeSwitch("big", 8, 240);
    private static final Profile HEAD =
            profile("head", Sort.CEILING_PTZ)
                    .poeOrDc(4, 25)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .port("DC", Join.DC_IN, 1, PortUse.POWER)
                    .sending("1080p50")
                    .profile();
    private static final Profile HUNGRY =
            profile("hungry", Sort.CEILING_PTZ)
                    .poeOrDc(6, 48)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile DOME =
            profile("dome", Sort.DOME)
                    .dc(12, 10.8, 10)
                    .serial(2400, 4800, 9600)
                    .speaking(Protocol.D_PROTOCOL, Transport.RS_485, false)
                    .port("RS-485", Join.RS_485, 1, PortUse.CONTROL)
                    .port("DC", Join.DC_IN, 1, PortUse.POWER)
                    .profile();
    private static final Profile STICK =
            profile("stick", Sort.SERIAL_STICK)
                    .serial(9600, 2400, 38400)
                    .port("RS-232", Join.RS_232_OUT, 1, PortUse.CONTROL)
                    .port("RS-485", Join.RS_485, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile SERIAL_HEAD =
            profile("serial-head", Sort.CEILING_PTZ)
                    .serial(9600, 38400)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, false)
                    .speaking(Protocol.INFRARED, Transport.INFRARED, false)
                    .port("IN", Join.RS_232_IN, 1, PortUse.CONTROL)
                    .port("OUT", Join.RS_232_OUT, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile DECODER =
            profile("decoder", Sort.DECODER)
                    .serial(9600)
                    .port("RS-232", Join.RS_232_OUT, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile MIXER =
            profile("mixer", Sort.VIDEO_SWITCHER)
                    .port("INPUT", Join.SDI_IN, 4, PortUse.PICTURE)
                    .port("HDMI", Join.HDMI_IN, 2, PortUse.PICTURE)
                    .profile();
    private static final Profile SUPPLY_12 = supply("supply-12", 12);
    private static final Profile SUPPLY_24 = supply("supply-24", 24);
    private static final Profile STEP_DOWN =
            profile("step-down", Sort.STEP_DOWN)
                    .supplying(12, 30, 0.9)
                    .dc(24, 16, 0)
                    .port("IN", Join.DC_IN, 1, PortUse.POWER)
                    .port("OUT", Join.DC_OUT, 1, PortUse.POWER)
                    .profile();
    private static final Profile USB_HEAD =
            profile("usb-head", Sort.USB_CAMERA)
                    .sending("1080p50")
                    .port("USB", Join.USB_DEVICE, 1, PortUse.CONTROL_AND_PICTURE)
                    .profile();
    private static final Profile LAPTOP =
            profile("laptop", Sort.LAPTOP)
                    .port("USB", Join.USB_HOST, 2, PortUse.CONTROL_AND_PICTURE)
                    .profile();

    private static Profile supply(String id, double volts) {
        return profile(id, Sort.POWER_SUPPLY)
                .supplying(volts, 60, 0.9)
                .port("OUT", Join.DC_OUT, 1, PortUse.POWER)
                .profile();
    }

    private final JobUnderTest job =
            new JobUnderTest(
                    SWITCH,
                    BIG,
                    HEAD,
                    HUNGRY,
                    DOME,
                    STICK,
                    SERIAL_HEAD,
                    DECODER,
                    MIXER,
                    SUPPLY_12,
                    SUPPLY_24,
                    STEP_DOWN,
                    USB_HEAD,
                    LAPTOP);

    private Finding only(String code) {
        return job.only(code, CablingChecks::check);
    }

    private List<String> codes() {
        return job.codes(CablingChecks::check);
    }

    /** Every fix of the finding takes it away. */
    private void fixed(String code, String... keys) {
        Finding finding = only(code);
        assertThat(finding.fixes()).extracting(Fix::key).containsExactly(keys);
        for (Fix fix : finding.fixes()) {
            assertThat(job.after(fix, CablingChecks::check)).as(fix.key()).doesNotContain(code);
        }
    }

    @Test
    void saysNothingBeforeTheFirstRun() {
        job.device("S", SWITCH);
        job.device("L1", HEAD, Field.ADDRESS, "10.44.8.21");
        assertThat(codes()).isEmpty();
    }

    @Test
    void movesTheFewestToAnotherSwitchOrFeedsThemWhereTheyHang() {
        long small = job.device("S", SWITCH);
        job.device("B", BIG);
        for (int i = 1; i <= 3; i++) {
            job.run(small, "PORT " + i, job.device("L" + i, HEAD), "LAN", "data", 40);
        }
        Finding over = only("POE-BUDGET");
        assertThat(over.facts()).containsEntry("count", "3").containsEntry("devices", "L3");
        assertThat(over.fixes())
                .extracting(Fix::key)
                .containsExactly("move-to-switch", "local-supply");
        // 3 x 26 W: 48 W are allowed of 60 W, so two must go; the device and the port change.
        assertThat(over.fixes().get(0).changes().edits()).hasSize(4);
        assertThat(over.fixes().get(1).changes().edits()).hasSize(2);
        fixed("POE-BUDGET", "move-to-switch", "local-supply");
        for (Fix fix : over.fixes()) {
            assertThat(job.after(fix, CablingChecks::check)).doesNotContain("POE-HEADROOM");
        }
    }

    @Test
    void namesPortsThatAReservingSwitchWouldRefuse() {
        long small = job.device("S", BIG);
        for (int i = 1; i <= 8; i++) {
            job.run(small, "PORT " + i, job.device("L" + i, HEAD), "LAN", "data", 1);
        }
        long more = job.device("S2", SWITCH);
        job.run(more, "PORT 1", job.device("L9", HEAD), "LAN", "data", 1);
        // 8 x 30 W are 240 W: just enough.
        assertThat(codes()).doesNotContain("POE-RESERVE");
        Profile tight = poeSwitch("tight", 8, 70);
        JobUnderTest other = new JobUnderTest(tight, HEAD);
        other.site(Field.POWER_HEADROOM, "0");
        long t = other.device("T", tight);
        other.run(t, "PORT 1", other.device("L1", HEAD), "LAN", "data", 1);
        other.run(t, "PORT 2", other.device("L2", HEAD), "LAN", "data", 1);
        assertThat(other.codes(CablingChecks::check)).isEmpty();
        Profile light =
                profile("light", Sort.CEILING_PTZ)
                        .drawing(4, 5)
                        .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                        .profile();
        JobUnderTest third = new JobUnderTest(tight, light);
        long u = third.device("T", tight);
        for (int i = 1; i <= 3; i++) {
            third.run(u, "PORT " + i, third.device("L" + i, light), "LAN", "data", 1);
        }
        assertThat(third.only("POE-RESERVE", CablingChecks::check).facts())
                .containsEntry("devices", "L3")
                .containsEntry("reserved", "90.0");
    }

    @Test
    void seesAPortThatGivesTooLittle() {
        long s = job.device("S", BIG);
        job.run(s, "PORT 1", job.device("L1", HUNGRY), "LAN", "data", 10);
        fixed("POE-CLASS", "local-supply");
    }

    @Test
    void whereAllIsPoweredOverEthernetASplitterHelps() {
        Profile splitter =
                profile("splitter", Sort.POE_SPLITTER)
                        .supplying(12, 21, 0.85)
                        .port("PoE", Join.ETHERNET, 1, PortUse.POWER)
                        .port("LAN", Join.ETHERNET, 1, PortUse.NETWORK)
                        .port("12 V", Join.DC_OUT, 1, PortUse.POWER)
                        .drawing(4, 0)
                        .profile();
        Profile dark =
                profile("dark", Sort.BOX_CAMERA)
                        .dc(12, 10.8, 9)
                        .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                        .port("DC", Join.DC_IN, 1, PortUse.POWER)
                        .profile();
        JobUnderTest house = new JobUnderTest(BIG, splitter, dark);
        long s = house.device("S", BIG);
        long camera = house.device("L1", dark);
        house.device("P", splitter);
        house.run(s, "PORT 1", camera, "LAN", "data", 60);
        assertThat(house.codes(CablingChecks::check)).isEmpty();
        house.site(Field.PRACTICE_POWER, "poe");
        Fix fix = house.only("POE-NONE", CablingChecks::check).fixes().get(0);
        assertThat(house.after(fix, CablingChecks::check)).containsExactly("DC-POLARITY");
    }

    @Test
    void wantsCopperAndAThickerOneWhereItIsLong() {
        long s = job.device("S", BIG);
        job.run(s, "PORT 1", job.device("L1", HEAD), "LAN", "data", 90, Field.CLAD, true);
        fixed("POE-CLAD", "copper");
    }

    @Test
    void offersTheGaugeThatCarriesIt() {
        long s = job.device("S", BIG);
        job.run(s, "PORT 1", job.device("L1", HEAD), "LAN", "data", 96, Field.GAUGE, 26);
        // 26: 13.05 ohm, 42.2 V of 42.5; 24: 8.3 ohm.
        assertThat(only("POE-DROP").fixes().get(0).changes().edits())
                .extracting(JobUnderTest::text)
                .singleElement()
                .asString()
                .endsWith("gauge 26>24");
        fixed("POE-DROP", "gauge");
    }

    @Test
    void makesARunOfDcWork() {
        long supply = job.device("U", SUPPLY_12);
        job.device("V", SUPPLY_24);
        job.device("D", STEP_DOWN);
        job.run(supply, "OUT", job.device("L1", DOME), "DC", "data", 42, Field.CONDUCTORS, 2);
        assertThat(only("DC-DROP").facts()).containsEntry("longest", "15.4");
        fixed("DC-DROP", "thicker-pair", "step-down", "supply-there");
        assertThat(only("DC-DROP").fixes().get(0).changes().edits())
                .extracting(JobUnderTest::text)
                .anyMatch(t -> t.endsWith("gauge >16"));
    }

    /** Copper-clad conductors are counted as what they are: each fix clears the drop. */
    @Test
    void bondsMoreConductorsWhereTheyAreCopperClad() {
        long supply = job.device("U", SUPPLY_12);
        job.run(supply, "OUT", job.device("L1", DOME), "DC", "data", 14, Field.CLAD, true);
        fixed("DC-DROP", "bond-conductors", "thicker-pair", "supply-there");
        assertThat(only("DC-DROP").fixes().get(0).changes().edits())
                .extracting(JobUnderTest::text)
                .singleElement()
                .asString()
                .endsWith("conductors 1>3");
    }

    @Test
    void bondsConductorsWhereThatIsEnough() {
        long supply = job.device("U", SUPPLY_12);
        job.run(supply, "OUT", job.device("L1", DOME), "DC", "data", 14);
        fixed("DC-DROP", "bond-conductors", "thicker-pair", "supply-there");
    }

    @Test
    void neverPutsTwentyFourVoltsOnTwelve() {
        long supply = job.device("U", SUPPLY_24);
        job.run(supply, "OUT", job.device("L1", DOME), "DC", "dc", 5);
        fixed("DC-OVER", "supply-there");
        assertThat(codes()).contains("DC-POLARITY");
    }

    @ParameterizedTest
    @CsvSource({"t568a, t568b, CABLE-PINS, re-terminate", "t568b, t568b, , ", "t568a, '', , "})
    void wantsBothEndsAlike(String one, String other, String code, String fix) {
        long s = job.device("S", BIG);
        job.run(
                s,
                "PORT 1",
                job.device("L1", HEAD),
                "LAN",
                "data",
                9,
                Field.FROM_PINS,
                one,
                Field.TO_PINS,
                other);
        if (code == null) {
            assertThat(codes()).isEmpty();
        } else {
            fixed(code, fix);
        }
    }

    @Test
    void knowsHowLongANetworkChannelIs() {
        long s = job.device("S", BIG);
        job.run(s, "PORT 1", job.device("L1", HEAD), "LAN", "data", 100.5, Field.POE_ON, false);
        fixed("NET-LENGTH", "fibre");
    }

    @Test
    void findsAnotherSocketForTwoInOne() {
        long s = job.device("S", BIG);
        job.run(s, "PORT 1", job.device("L1", HEAD), "LAN", "data", 9);
        job.run(s, "PORT 1", job.device("L2", HEAD), "LAN", "data", 9);
        fixed("PORT-TWICE", "free-port");
    }

    @ParameterizedTest
    @CsvSource({
        "CONSOLE, LAN, data, PORT-CONSOLE, free-port",
        "PORT 1, DC, data, PORT-KIND, free-port",
        "PORT 1, LAN, hdmi, PORT-KIND, cable",
        "PORT 99, LAN, data, PORT-KIND, free-port"
    })
    void refusesJoinsThatCannotBe(
            String port, String socket, String cable, String code, String fix) {
        long s = job.device("S", BIG);
        job.run(s, port, job.device("L1", HEAD), socket, cable, 9);
        fixed(code, fix);
    }

    @Test
    void aSerialLeadNeverGoesIntoANetworkPort() {
        long stick = job.device("K", STICK);
        job.run(stick, "RS-232", job.device("L1", HEAD), "LAN", "data", 9);
        fixed("SER-DIRECTION", "remove-run");
    }

    @Test
    void eachDifferenceOfASerialLineIsItsOwn() {
        long stick = job.device("K", STICK);
        long camera = job.device("L1", SERIAL_HEAD, Field.BAUD, "38400", Field.FRAMING, "8E1");
        job.run(stick, "RS-232", camera, "IN", "serial", 9);
        Finding baud =
                CablingChecks.check(job.job()).stream()
                        .filter(f -> f.field() == Field.BAUD)
                        .findFirst()
                        .orElseThrow();
        assertThat(CablingChecks.check(job.job()))
                .filteredOn(f -> f.code().equals(CablingCodes.SETTING))
                .hasSize(2);
        assertThat(baud.fixes().get(0).changes().edits())
                .extracting(JobUnderTest::text)
                .containsExactly("device " + stick + " baud >38400");
    }

    /** To follow the one line would lose the other: once fixed, it stays fixed. */
    @Test
    void aStickThatFeedsAChainAndABusIsOneFinding() {
        long stick = job.device("K", STICK);
        long chained = job.device("L1", SERIAL_HEAD, Field.BAUD, "38400");
        long dome = job.device("L2", DOME, Field.BAUD, "2400");
        job.run(stick, "RS-232", chained, "IN", "serial", 9);
        job.run(stick, "RS-485", dome, "RS-485", "pair", 9);
        Finding baud =
                CablingChecks.check(job.job()).stream()
                        .filter(f -> f.code().equals(CablingCodes.SETTING))
                        .filter(f -> f.field() == Field.BAUD)
                        .findFirst()
                        .orElseThrow();
        assertThat(baud.devices())
                .extracting(DeviceId::value)
                .containsExactly(chained, dome, stick);
        assertThat(baud.fixes().get(0).changes().edits())
                .extracting(JobUnderTest::text)
                .containsExactly(
                        "device " + chained + " baud 38400>9600",
                        "device " + dome + " baud 2400>9600");
        assertThat(job.after(baud.fixes().get(0), CablingChecks::check))
                .doesNotContain("SER-SETTING");
    }

    @ParameterizedTest
    @CsvSource({"15, ", "15.5, WARN", "25, WARN", "25.1, STOP"})
    void knowsHowFarRs232Reaches(double metres, String severity) {
        long stick = job.device("K", STICK);
        job.run(stick, "RS-232", job.device("L1", SERIAL_HEAD), "IN", "serial", metres);
        if (severity == null) {
            assertThat(codes()).isEmpty();
        } else {
            assertThat(only("SER-LENGTH").code().severity()).hasToString(severity);
        }
    }

    /** A head too far for RS-232: each way out by itself, and all of them, best first. */
    @ParameterizedTest
    @CsvSource({
        "RS_422, VISCA_SERIAL, false, rs-422",
        "UDP, VISCA_IP, false, by-network",
        ", , true, serial-server",
        "UDP, VISCA_IP, true, by-network serial-server"
    })
    void offersWhatReachesFarther(Transport also, Protocol protocol, boolean tcp, String keys) {
        SomeProfiles far = profile("far", Sort.CEILING_PTZ).serial(9600).at("10.44.8.90");
        SomeProfiles desk = profile("desk", Sort.HYBRID_STICK).serial(9600).keys(7, 1, false);
        far.speaking(Protocol.VISCA_SERIAL, Transport.RS_232, false)
                .port("IN", Join.RS_232_IN, 1, PortUse.CONTROL)
                .port("RS-422", Join.RS_422, 1, PortUse.CONTROL);
        desk.speaking(Protocol.VISCA_SERIAL, Transport.RS_232, true)
                .port("OUT", Join.RS_232_OUT, 1, PortUse.CONTROL)
                .port("RS-422", Join.RS_422, 1, PortUse.CONTROL);
        if (also != null) {
            far.speaking(protocol, also, false);
            desk.speaking(protocol, also, true);
        }
        if (tcp) {
            desk.speaking(Protocol.VISCA_TCP, Transport.TCP, true);
        }
        Profile server =
                profile("serial-server-1", Sort.SERIAL_SERVER)
                        .speaking(Protocol.VISCA_TCP, Transport.TCP, false)
                        .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, true)
                        .port("SERIAL", Join.RS_232_OUT, 1, PortUse.CONTROL)
                        .profile();
        JobUnderTest hall = new JobUnderTest(far.profile(), desk.profile(), server);
        hall.site(Field.PRACTICE_WIRING, "rs-232");
        long stick = hall.device("K", desk.profile());
        long head = hall.device("L1", far.profile());
        hall.line(1, head, Field.CONTROLLER, stick, Field.KEY, 1);
        hall.run(stick, "OUT", head, "IN", "serial", 60);
        Finding found =
                CablingChecks.check(hall.job()).stream()
                        .filter(f -> f.code().equals(CablingCodes.LENGTH))
                        .findFirst()
                        .orElseThrow();
        assertThat(found.fixes()).extracting(Fix::key).containsExactly(keys.split(" "));
        for (Fix fix : found.fixes()) {
            assertThat(hall.after(fix, CablingChecks::check))
                    .as(fix.key())
                    .doesNotContain("SER-LENGTH");
            assertThat(hall.after(fix, LineChecks::check))
                    .as(fix.key())
                    .isSubsetOf(hall.codes(LineChecks::check));
        }
    }

    @Test
    void numbersAChainInTheOrderOfItsLeads() {
        long stick = job.device("K", STICK);
        long one = job.device("L1", SERIAL_HEAD);
        long two = job.device("L2", SERIAL_HEAD);
        job.line(1, one, Field.CONTROL_ID, 2);
        job.line(2, two, Field.CONTROL_ID, 1);
        job.run(stick, "RS-232", one, "IN", "serial", 9);
        job.run(one, "OUT", two, "IN", "serial", 9);
        fixed("SER-ORDER", "renumber");
    }

    @Test
    void sevenCamerasAtNineThousandSixHundredAreSlow() {
        long before = job.device("K", STICK);
        String out = "RS-232";
        for (int i = 1; i <= 7; i++) {
            long next = job.device("L" + i, SERIAL_HEAD);
            job.run(before, out, next, "IN", "serial", 9);
            before = next;
            out = "OUT";
        }
        // 9600 / 150 / 7 = 9.14 a second.
        assertThat(only("SER-RATE").facts()).containsEntry("each", "9.1");
        fixed("SER-RATE", "baud");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "to-camera", "to-camera from-camera"})
    void aDecoderIsSubscribedBothWaysAndTheReceiverOff(String subscribed) {
        long decoder = job.device("D", DECODER);
        job.run(
                decoder,
                "RS-232",
                job.device("L1", SERIAL_HEAD),
                "IN",
                "serial",
                2,
                Field.SUBSCRIBED,
                subscribed);
        fixed("SER-SUBSCRIBE", "subscribe");
    }

    @Test
    void aBusIsTerminatedAtBothEndsOnly() {
        long stick = job.device("K", STICK, Field.BAUD, 2400, Field.TERMINATOR, true);
        long middle = job.device("L1", DOME, Field.TERMINATOR, true);
        long last = job.device("L2", DOME);
        job.run(stick, "RS-485", middle, "RS-485", "pair", 200);
        job.run(middle, "RS-485", last, "RS-485", "pair", 200);
        fixed("SER-TERM", "terminators");
        assertThat(codes()).containsExactly("SER-TERM");
        job.run(last, "RS-485", job.device("L3", DOME), "RS-485", "pair", 900);
        assertThat(codes()).contains("SER-LENGTH");
    }

    @Test
    void aBusIsALineAndNoStarAndCarriesThirtyTwo() {
        long stick = job.device("K", STICK, Field.BAUD, 2400);
        for (int i = 1; i <= 3; i++) {
            job.run(stick, "RS-485", job.device("L" + i, DOME), "RS-485", "pair", 10);
        }
        assertThat(only("SER-LOAD").facts()).containsEntry("what", "star");
        JobUnderTest full = new JobUnderTest(STICK, DOME);
        long before = full.device("K", STICK, Field.BAUD, 2400);
        for (int i = 1; i <= 32; i++) {
            long next = full.device("L" + i, DOME);
            full.run(before, "RS-485", next, "RS-485", "pair", 10);
            before = next;
        }
        assertThat(full.only("SER-LOAD", CablingChecks::check).facts())
                .containsEntry("what", "many")
                .containsEntry("loads", "33.0");
    }

    @Test
    void crossedPolesAreSwapped() {
        long stick = job.device("K", STICK, Field.BAUD, 2400, Field.TERMINATOR, true);
        long dome = job.device("L1", DOME, Field.TERMINATOR, true);
        job.run(
                stick,
                "RS-485",
                dome,
                "RS-485",
                "pair",
                20,
                Field.FROM_PINS,
                "first-to-plus",
                Field.TO_PINS,
                "first-to-minus");
        fixed("SER-POLARITY", "swap");
    }

    @ParameterizedTest
    @CsvSource({
        // 1080p50 is 2.97 Gb/s: at 1485 MHz RG-6 loses 26.06 dB, 20 dB are allowed: 76.7 m.
        "coax-rg6, 76.7, ",
        "coax-rg6, 76.8, fibre",
        // RG-59 reaches 62.6 m, mini coax 45.2 m.
        "coax-rg59, 70, coax-rg6",
        "coax-mini, 50, coax-rg6",
        "fibre, 3000, "
    })
    void knowsHowFarAPictureReaches(String cable, double metres, String fix) {
        long mixer = job.device("M", MIXER);
        job.run(job.device("L1", HEAD), "SDI", mixer, "INPUT 1", cable, metres);
        if (fix == null) {
            assertThat(codes()).isEmpty();
        } else {
            fixed("VID-LENGTH", fix);
        }
    }

    @Test
    void aUsbLeadIsShortAndWideEnough() {
        long laptop = job.device("P", LAPTOP);
        job.run(job.device("L1", USB_HEAD), "USB", laptop, "USB 1", "usb-2", 6);
        // 1920 x 1080 x 50 x 16 bit = 1,658.9 Mb/s.
        assertThat(only("USB-BANDWIDTH").facts()).containsEntry("takes", "1658.9");
        fixed("USB-LENGTH", "usb-extender");
        fixed("USB-BANDWIDTH", "usb-3");
    }

    @Test
    void theProgrammeFitsTheLineOut() {
        long s = job.device("S", BIG);
        job.run(s, "PORT 1", job.device("L1", HEAD), "LAN", "data", 9);
        job.site(Field.UPLINK, "10");
        job.site(Field.OUTGOING, "8");
        fixed("NET-UPLINK", "bit-rate");
        assertThat(only("NET-UPLINK").facts()).containsEntry("allowed", "7.5");
    }

    @Test
    void saysWhatNothingCarriesYet() {
        long s = job.device("S", BIG, Field.ADDRESS, "10.44.8.2");
        job.run(s, "PORT 1", job.device("L1", HEAD), "LAN", "data", 9, Field.LAID, "outdoor");
        long blind = job.device("L2", HEAD);
        job.line(2, blind, Field.SWITCHER, job.device("M", MIXER), Field.INPUT, 2);
        assertThat(only("CABLE-OPEN").facts()).containsEntry("devices", "L2");
        assertThat(only("CABLE-OUTDOOR").facts()).containsEntry("runs", "L1 LAN");
    }
}
