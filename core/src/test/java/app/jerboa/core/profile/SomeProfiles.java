package app.jerboa.core.profile;

import app.jerboa.core.net.Ipv4;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** Profiles for tests, as small as they can be; each method adds one group of facts. */
public final class SomeProfiles {
    private final Profile p;

    private SomeProfiles(Profile p) {
        this.p = p;
    }

    public static SomeProfiles of(String id, String name, Sort sort) {
        return new SomeProfiles(Profile.bare(id, name, sort));
    }

    public Profile profile() {
        return p;
    }

    /** Starts on a fixed address. */
    public SomeProfiles at(String address) {
        return network(
                new Network(
                        FactoryMode.FIXED,
                        Optional.of(Ipv4.parse(address)),
                        OptionalInt.of(24),
                        Optional.empty(),
                        Medium.WIRED,
                        "",
                        false,
                        false,
                        false,
                        OptionalInt.empty()));
    }

    public SomeProfiles leased(boolean only) {
        return network(
                new Network(
                        FactoryMode.LEASE,
                        Optional.empty(),
                        OptionalInt.empty(),
                        Optional.empty(),
                        Medium.WIRED,
                        "",
                        only,
                        false,
                        false,
                        OptionalInt.empty()));
    }

    public SomeProfiles speaking(Protocol protocol, Transport over, boolean sends) {
        boolean port = over == Transport.UDP || over == Transport.TCP;
        Speaks one =
                new Speaks(
                        protocol,
                        over,
                        port ? OptionalInt.of(52381) : OptionalInt.empty(),
                        sends,
                        false,
                        true,
                        List.of(Function.PAN_TILT, Function.ZOOM));
        List<Speaks> all = new ArrayList<>(p.speaks());
        all.add(one);
        return with(
                p.network(),
                all,
                p.keys(),
                p.draw(),
                p.gives(),
                p.video(),
                p.firmware(),
                p.before());
    }

    public SomeProfiles keys(int count, int first, boolean counting) {
        Keys keys =
                new Keys(
                        count,
                        first,
                        counting,
                        counting,
                        OptionalInt.empty(),
                        counting ? List.of(Filling.COUNTING) : List.of(Filling.PANEL),
                        false,
                        false,
                        false,
                        OptionalInt.empty());
        return with(
                p.network(),
                p.speaks(),
                Optional.of(keys),
                p.draw(),
                p.gives(),
                p.video(),
                p.firmware(),
                p.before());
    }

    public SomeProfiles drawing(int poeClass, double watts) {
        PowerDraw draw =
                new PowerDraw(
                        OptionalInt.of(poeClass),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        false,
                        false,
                        false,
                        watts / 2,
                        watts);
        return with(
                p.network(),
                p.speaks(),
                p.keys(),
                Optional.of(draw),
                p.gives(),
                p.video(),
                p.firmware(),
                p.before());
    }

    public SomeProfiles giving(int ports, double budget) {
        PowerSource gives =
                new PowerSource(
                        ports,
                        OptionalInt.of(4),
                        budget,
                        false,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalInt.empty());
        return with(
                p.network(),
                p.speaks(),
                p.keys(),
                p.draw(),
                Optional.of(gives),
                p.video(),
                p.firmware(),
                p.before());
    }

    public SomeProfiles floor(Sort controller, String least) {
        Firmware firmware =
                new Firmware("1.0", List.of(new FirmwareFloor(controller, least)), false);
        return with(
                p.network(),
                p.speaks(),
                p.keys(),
                p.draw(),
                p.gives(),
                p.video(),
                Optional.of(firmware),
                p.before());
    }

    public SomeProfiles needing(Need... needs) {
        return with(
                p.network(),
                p.speaks(),
                p.keys(),
                p.draw(),
                p.gives(),
                p.video(),
                p.firmware(),
                List.of(needs));
    }

    /** With one SDI output that can send these. */
    public SomeProfiles sending(String... formats) {
        Video video =
                new Video(
                        List.of(formats),
                        List.of(new DialPosition("7", formats[0])),
                        false,
                        OptionalDouble.empty(),
                        List.of(),
                        "",
                        OptionalDouble.empty(),
                        List.of(),
                        OptionalInt.empty());
        return with(
                p.network(),
                p.speaks(),
                p.keys(),
                p.draw(),
                p.gives(),
                Optional.of(video),
                p.firmware(),
                p.before());
    }

    private SomeProfiles network(Network network) {
        return with(
                Optional.of(network),
                p.speaks(),
                p.keys(),
                p.draw(),
                p.gives(),
                p.video(),
                p.firmware(),
                p.before());
    }

    private SomeProfiles with(
            Optional<Network> network,
            List<Speaks> speaks,
            Optional<Keys> keys,
            Optional<PowerDraw> draw,
            Optional<PowerSource> gives,
            Optional<Video> video,
            Optional<Firmware> firmware,
            List<Need> before) {
        List<Port> ports =
                video.isPresent()
                        ? List.of(new Port("SDI", Join.SDI_OUT, 1, PortUse.PICTURE))
                        : p.ports();
        return new SomeProfiles(
                new Profile(
                        p.id(),
                        p.name(),
                        p.sort(),
                        p.summary(),
                        60,
                        p.massKg(),
                        network,
                        p.access(),
                        speaks,
                        p.serial(),
                        p.ids(),
                        keys,
                        p.presets(),
                        draw,
                        gives,
                        p.head(),
                        p.optics(),
                        ports,
                        p.clashes(),
                        video,
                        p.paint(),
                        p.audio(),
                        firmware,
                        p.recovery(),
                        p.leadMetres(),
                        p.frames(),
                        before));
    }
}
