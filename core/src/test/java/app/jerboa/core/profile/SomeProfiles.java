package app.jerboa.core.profile;

import app.jerboa.core.motion.Lens;
import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.net.Ipv4;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** Profiles for tests, as small as they can be; each method adds one group of facts. */
public final class SomeProfiles {
    private final String id;
    private final String name;
    private final Sort sort;
    private double massKg = 1;
    private Optional<Network> network = Optional.empty();
    private Optional<Access> access = Optional.empty();
    private final List<Speaks> speaks = new ArrayList<>();
    private Optional<SerialLine> serial = Optional.empty();
    private Optional<Ids> ids = Optional.empty();
    private Optional<Keys> keys = Optional.empty();
    private Optional<Presets> presets = Optional.empty();
    private Optional<PowerDraw> draw = Optional.empty();
    private Optional<PowerSource> gives = Optional.empty();
    private Optional<Head> head = Optional.empty();
    private Optional<Optics> optics = Optional.empty();
    private final List<Port> ports = new ArrayList<>();
    private final List<Clash> clashes = new ArrayList<>();
    private Optional<Video> video = Optional.empty();
    private Optional<Audio> audio = Optional.empty();
    private Optional<Firmware> firmware = Optional.empty();
    private List<Need> before = List.of();

    private SomeProfiles(String id, String name, Sort sort) {
        this.id = id;
        this.name = name;
        this.sort = sort;
    }

    public static SomeProfiles of(String id, String name, Sort sort) {
        return new SomeProfiles(id, name, sort);
    }

    public Profile profile() {
        return new Profile(
                id,
                name,
                sort,
                "",
                60,
                massKg,
                network,
                access,
                List.copyOf(speaks),
                serial,
                ids,
                keys,
                presets,
                draw,
                gives,
                head,
                optics,
                List.copyOf(ports),
                List.copyOf(clashes),
                video,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                audio,
                firmware,
                Optional.empty(),
                List.of(),
                before);
    }

    public SomeProfiles weighing(double kg) {
        massKg = kg;
        return this;
    }

    /** Starts on a fixed address. */
    public SomeProfiles at(String address) {
        return network(FactoryMode.FIXED, Optional.of(Ipv4.parse(address)), Medium.WIRED, false);
    }

    public SomeProfiles leased(boolean only) {
        return network(FactoryMode.LEASE, Optional.empty(), Medium.WIRED, only);
    }

    /** It has Ethernet once something is fitted. */
    public SomeProfiles withOption(String address) {
        return network(
                FactoryMode.FIXED, Optional.of(Ipv4.parse(address)), Medium.WITH_OPTION, false);
    }

    private SomeProfiles network(
            FactoryMode starts, Optional<Ipv4> address, Medium medium, boolean leaseOnly) {
        network =
                Optional.of(
                        new Network(
                                starts,
                                address,
                                address.isPresent() ? OptionalInt.of(24) : OptionalInt.empty(),
                                Optional.empty(),
                                medium,
                                medium == Medium.WITH_OPTION ? "a network adapter" : "",
                                leaseOnly,
                                false,
                                false,
                                false,
                                OptionalInt.empty()));
        return this;
    }

    public SomeProfiles firstLogin() {
        access =
                Optional.of(
                        new Access(
                                "admin",
                                PasswordRule.FACTORY,
                                true,
                                false,
                                "its web page",
                                Letters.ANY,
                                OptionalInt.empty()));
        return this;
    }

    public SomeProfiles speaking(Protocol protocol, Transport over, boolean sends) {
        return speaking(protocol, over, sends, RemoteFunction.PAN_TILT, RemoteFunction.ZOOM);
    }

    public SomeProfiles speaking(
            Protocol protocol, Transport over, boolean sends, RemoteFunction... carries) {
        boolean port = over == Transport.UDP || over == Transport.TCP;
        return speaking(protocol, over, sends, port ? 52381 : 0, carries);
    }

    /**
     * @param port 0 for none
     */
    public SomeProfiles speaking(
            Protocol protocol, Transport over, boolean sends, int port, RemoteFunction... carries) {
        speaks.add(
                new Speaks(
                        protocol,
                        over,
                        port > 0 ? OptionalInt.of(port) : OptionalInt.empty(),
                        sends,
                        false,
                        true,
                        List.of(carries)));
        return this;
    }

    public SomeProfiles ids(int lowest, int highest) {
        ids = Optional.of(new Ids(lowest, highest, lowest, IdPlace.MENU, OptionalInt.empty()));
        return this;
    }

    public SomeProfiles keys(int count, int first, boolean counting) {
        return keys(count, first, counting, OptionalInt.empty());
    }

    public SomeProfiles keys(int count, int first, boolean counting, OptionalInt serial) {
        keys =
                Optional.of(
                        new Keys(
                                count,
                                first,
                                counting,
                                counting,
                                OptionalInt.empty(),
                                counting ? List.of(Filling.COUNTING) : List.of(Filling.PANEL),
                                false,
                                false,
                                sort == Sort.PAINT_PANEL,
                                serial));
        return this;
    }

    public SomeProfiles drawing(int poeClass, double watts) {
        draw =
                Optional.of(
                        new PowerDraw(
                                OptionalInt.of(poeClass),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                false,
                                false,
                                false,
                                watts / 2,
                                watts));
        return this;
    }

    public SomeProfiles needingSplitter() {
        draw =
                Optional.of(
                        new PowerDraw(
                                OptionalInt.empty(),
                                OptionalDouble.of(12),
                                OptionalDouble.empty(),
                                false,
                                false,
                                true,
                                4,
                                8));
        return this;
    }

    /** Takes DC, and nothing else. */
    public SomeProfiles dc(double volts, double least, double watts) {
        draw =
                Optional.of(
                        new PowerDraw(
                                OptionalInt.empty(),
                                OptionalDouble.of(volts),
                                OptionalDouble.of(least),
                                false,
                                false,
                                false,
                                watts / 2,
                                watts));
        return this;
    }

    /** Takes PoE or DC. */
    public SomeProfiles poeOrDc(int poeClass, double watts) {
        draw =
                Optional.of(
                        new PowerDraw(
                                OptionalInt.of(poeClass),
                                OptionalDouble.of(12),
                                OptionalDouble.empty(),
                                false,
                                false,
                                false,
                                watts / 2,
                                watts));
        return this;
    }

    /** Gives DC, one of nothing it takes itself. */
    public SomeProfiles supplying(double volts, double watts, double efficiency) {
        gives =
                Optional.of(
                        new PowerSource(
                                0,
                                OptionalInt.empty(),
                                0,
                                false,
                                OptionalDouble.of(volts),
                                OptionalDouble.of(watts),
                                OptionalDouble.of(efficiency),
                                OptionalDouble.empty(),
                                OptionalInt.empty()));
        return this;
    }

    /** A battery of so many volts, watts at most and watt-hours. */
    public SomeProfiles holding(double volts, double watts, double wattHours) {
        gives =
                Optional.of(
                        new PowerSource(
                                0,
                                OptionalInt.empty(),
                                0,
                                false,
                                OptionalDouble.of(volts),
                                OptionalDouble.of(watts),
                                OptionalDouble.empty(),
                                OptionalDouble.of(wattHours),
                                OptionalInt.empty()));
        return this;
    }

    /** Takes any format and gives another. */
    public SomeProfiles converting() {
        video =
                Optional.of(
                        new Video(
                                List.of("1080p50"),
                                List.of(),
                                true,
                                OptionalDouble.empty(),
                                List.of(),
                                "",
                                "",
                                "",
                                OptionalDouble.empty(),
                                List.of(),
                                OptionalInt.empty()));
        return this;
    }

    public SomeProfiles serial(int baud, Integer... others) {
        List<Integer> bauds = new ArrayList<>(List.of(others));
        bauds.add(baud);
        serial =
                Optional.of(
                        new SerialLine(
                                bauds,
                                baud,
                                8,
                                Parity.NONE,
                                1,
                                OptionalDouble.of(1),
                                "A",
                                "B",
                                true,
                                OptionalInt.of(7)));
        return this;
    }

    public SomeProfiles giving(int ports, double budget) {
        return giving(ports, 4, budget);
    }

    public SomeProfiles giving(int ports, int poeClass, double budget) {
        gives =
                Optional.of(
                        new PowerSource(
                                ports,
                                OptionalInt.of(poeClass),
                                budget,
                                false,
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalInt.empty()));
        return this;
    }

    /** Pans 170 degrees each way. */
    public SomeProfiles head(OptionalDouble payloadKg, OptionalDouble torqueNm, double turns) {
        SpeedScale speed = new SpeedScale(1, 60, 24);
        head =
                Optional.of(
                        new Head(
                                14.4,
                                -170,
                                170,
                                -30,
                                90,
                                speed,
                                speed,
                                speed,
                                OptionalDouble.empty(),
                                new Lens(7.7, 4.8, 96),
                                Optional.empty(),
                                Optional.empty(),
                                payloadKg,
                                torqueNm,
                                OptionalDouble.of(turns),
                                true));
        return this;
    }

    public SomeProfiles optics(LensFit fit, boolean servoZoom, boolean lengthens) {
        optics =
                Optional.of(
                        new Optics(
                                fit,
                                OptionalDouble.of(18),
                                OptionalDouble.of(110),
                                servoZoom,
                                true,
                                lengthens,
                                OptionalDouble.empty(),
                                fit == LensFit.IS_A_LENS ? List.of("zoom to servo") : List.of()));
        return this;
    }

    public SomeProfiles port(String socket, Join join, int count, PortUse use) {
        ports.add(new Port(socket, join, count, use));
        return this;
    }

    public SomeProfiles clash(String one, String other) {
        clashes.add(new Clash(one, other, "the format is 2160p"));
        return this;
    }

    public SomeProfiles sound(int inputs, AudioWay... ways) {
        audio = Optional.of(new Audio(inputs, Arrays.asList(ways), 2, inputs == 0));
        return this;
    }

    /** Of the head that was said before. */
    public SomeProfiles axes(Optional<Axis> roll, Optional<Axis> rail) {
        head =
                head.map(
                        h ->
                                new Head(
                                        h.countsPerDegree(),
                                        h.panLeftDegrees(),
                                        h.panRightDegrees(),
                                        h.tiltDownDegrees(),
                                        h.tiltUpDegrees(),
                                        h.pan(),
                                        h.tilt(),
                                        h.zoom(),
                                        h.acceleration(),
                                        h.lens(),
                                        roll,
                                        rail,
                                        h.payloadKg(),
                                        h.torqueNm(),
                                        h.turns(),
                                        h.inverts()));
        return this;
    }

    public SomeProfiles floor(Sort controller, String least) {
        firmware =
                Optional.of(
                        new Firmware("1.0", List.of(new FirmwareFloor(controller, least)), false));
        return this;
    }

    public SomeProfiles needing(Need... needs) {
        before = List.of(needs);
        return this;
    }

    /**
     * @param bankOf 0 for one run of numbers
     */
    public SomeProfiles presets(int count, PresetHome keptIn, int first, int bankOf) {
        presets =
                Optional.of(
                        new Presets(
                                count,
                                keptIn,
                                List.of(PresetPart.POSITION, PresetPart.ZOOM),
                                List.of(),
                                OptionalInt.of(first),
                                bankOf == 0 ? OptionalInt.empty() : OptionalInt.of(bankOf),
                                OptionalInt.empty()));
        return this;
    }

    /** With a network picture in H.264. */
    public SomeProfiles streaming(String path) {
        video =
                Optional.of(
                        new Video(
                                List.of("1080p50"),
                                List.of(),
                                false,
                                OptionalDouble.empty(),
                                List.of(StreamCodec.H264),
                                path,
                                "",
                                "",
                                OptionalDouble.empty(),
                                List.of(),
                                OptionalInt.empty()));
        return this;
    }

    /** With one SDI output that can send these. */
    public SomeProfiles sending(String... formats) {
        ports.add(new Port("SDI", Join.SDI_OUT, 1, PortUse.PICTURE));
        video =
                Optional.of(
                        new Video(
                                List.of(formats),
                                List.of(new DialPosition("7", formats[0])),
                                false,
                                OptionalDouble.empty(),
                                List.of(),
                                "",
                                "",
                                "",
                                OptionalDouble.empty(),
                                List.of(),
                                OptionalInt.empty()));
        return this;
    }
}
