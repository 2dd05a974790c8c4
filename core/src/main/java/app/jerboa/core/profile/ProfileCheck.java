package app.jerboa.core.profile;

import app.jerboa.core.knob.AxisFramesCheck;
import app.jerboa.core.knob.KnobCheck;
import app.jerboa.core.knob.TallyTold;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.Version;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Do the facts of a profile agree with each other? Single ranges are the schema's business. */
public final class ProfileCheck {
    private static final Pattern ID = Pattern.compile("[a-z0-9]+(-[a-z0-9]+)*");

    /** Not a socket, but an output all the same. */
    private static final String NETWORK_PICTURE = "network picture";

    private final Profile profile;
    private final List<Disagreement> found = new ArrayList<>();

    /**
     * @param at where, as a JSON pointer into the file
     */
    public record Disagreement(String at, Reason reason) {}

    private ProfileCheck(Profile profile) {
        this.profile = profile;
    }

    /** Everything that does not fit together, in the order of the file. */
    public static List<Disagreement> of(Profile profile) {
        ProfileCheck check = new ProfileCheck(profile);
        check.identity();
        check.network();
        check.control();
        check.power();
        check.head();
        check.picture();
        check.told();
        check.versions();
        return List.copyOf(check.found);
    }

    private void insist(boolean holds, String at, Reason reason) {
        if (!holds) {
            found.add(new Disagreement(at, reason));
        }
    }

    private void identity() {
        insist(ID.matcher(profile.id()).matches(), "/id", Reason.of("profile.id"));
    }

    private void network() {
        profile.network()
                .ifPresent(
                        n -> {
                            boolean fixed = n.starts() == FactoryMode.FIXED;
                            insist(
                                    n.address().isPresent() == fixed,
                                    "/network/address",
                                    Reason.of("profile.factory-address"));
                            insist(
                                    n.factory()
                                            .filter(f -> !f.subnet().isHost(f.address()))
                                            .isEmpty(),
                                    "/network/address",
                                    Reason.of("profile.own-subnet"));
                            insist(
                                    (n.medium() == Medium.WITH_OPTION) == !n.needs().isEmpty(),
                                    "/network/needs",
                                    Reason.of("profile.option"));
                        });
        insist(
                profile.network().isPresent()
                        || profile.kind() == DeviceKind.CAMERA
                        || profile.speaks().stream().noneMatch(ProfileCheck::onNetwork),
                "/speaks",
                Reason.of("profile.network"));
    }

    private static boolean onNetwork(Speaks s) {
        return s.over() == Transport.UDP || s.over() == Transport.TCP;
    }

    private void control() {
        for (int i = 0; i < profile.speaks().size(); i++) {
            Speaks s = profile.speaks().get(i);
            insist(
                    s.port().isPresent() == onNetwork(s),
                    "/speaks/" + i + "/port",
                    Reason.of("profile.port"));
        }
        profile.serial()
                .ifPresent(
                        s ->
                                insist(
                                        s.bauds().contains(s.baud()),
                                        "/serial/baud",
                                        Reason.of("profile.baud")));
        profile.ids()
                .ifPresent(
                        i ->
                                insist(
                                        i.lowest() <= i.factory() && i.factory() <= i.highest(),
                                        "/ids/factory",
                                        Reason.of("profile.outside-ids")));
        profile.keys()
                .ifPresent(
                        k -> {
                            insist(
                                    profile.speaks().stream().anyMatch(Speaks::sends),
                                    "/keys",
                                    Reason.of("profile.keys-protocol"));
                            insist(
                                    k.counting() == k.filledBy().contains(Filling.COUNTING),
                                    "/keys/filledBy",
                                    Reason.of("profile.counting"));
                        });
    }

    private void power() {
        profile.draw()
                .ifPresent(
                        d -> {
                            insist(
                                    d.idleWatts() <= d.mostWatts(),
                                    "/draw/mostWatts",
                                    Reason.of("profile.below-rest"));
                            insist(
                                    d.leastVolts().isEmpty()
                                            || d.volts().isPresent()
                                                    && d.leastVolts().getAsDouble()
                                                            <= d.volts().getAsDouble(),
                                    "/draw/leastVolts",
                                    Reason.of("profile.above-nominal-volts"));
                        });
        profile.gives()
                .ifPresent(
                        g ->
                                insist(
                                        g.outWatts().isEmpty() || g.volts().isPresent(),
                                        "/gives/volts",
                                        Reason.of("profile.dc-volts")));
    }

    private void head() {
        profile.head()
                .ifPresent(
                        h -> {
                            insist(
                                    h.panLeftDegrees() < h.panRightDegrees(),
                                    "/head/panRightDegrees",
                                    Reason.of("profile.pan-room"));
                            insist(
                                    h.tiltDownDegrees() < h.tiltUpDegrees(),
                                    "/head/tiltUpDegrees",
                                    Reason.of("profile.tilt-room"));
                            h.roll().ifPresent(a -> axis(a, "/head/roll"));
                            h.rail().ifPresent(a -> axis(a, "/head/rail"));
                        });
    }

    private void axis(Axis a, String at) {
        BiConsumer<String, Reason> report = (place, reason) -> insist(false, place, reason);
        insist(
                a.drive().isEmpty() || a.slowest() <= a.fastest(),
                at + "/fastest",
                Reason.of("profile.fastest"));
        AxisFramesCheck.driven(a.steps(), a.drive(), at, report);
        AxisFramesCheck.asked(a.ask(), a.answer(), a.countsPerUnit().isPresent(), at, report);
    }

    private void picture() {
        Set<String> sockets = profile.ports().stream().map(Port::name).collect(Collectors.toSet());
        for (int i = 0; i < profile.clashes().size(); i++) {
            Clash clash = profile.clashes().get(i);
            String at = "/clashes/" + i;
            insist(output(sockets, clash.one()), at + "/one", Reason.of("profile.no-socket-name"));
            insist(
                    output(sockets, clash.other()),
                    at + "/other",
                    Reason.of("profile.no-socket-name"));
        }
        profile.video()
                .ifPresent(
                        v -> {
                            for (int i = 0; i < v.dial().size(); i++) {
                                insist(
                                        v.formats().contains(v.dial().get(i).format()),
                                        "/video/dial/" + i + "/format",
                                        Reason.of("profile.format"));
                            }
                        });
    }

    private void told() {
        boolean turnsOthers = !profile.turns().isEmpty();
        KnobCheck.of(
                profile.knobs(),
                profile.verbs(),
                Arrays.stream(Tongue.values()).filter(profile::speaks).collect(Collectors.toSet()),
                turnsOthers,
                (at, reason) -> insist(false, at, reason));
        insist(
                !turnsOthers || profile.speaks().stream().anyMatch(Speaks::sends),
                "/turns",
                Reason.of("profile.panel-protocol"));
        insist(
                profile.web().isEmpty() || profile.speaks(Tongue.HTTP),
                "/web",
                Reason.of("profile.web-protocol"));
        profile.tally().ifPresent(this::tally);
        profile.web()
                .ifPresent(
                        w ->
                                insist(
                                        w.signInCall().isPresent() == (w.signIn() == SignIn.COOKIE),
                                        "/web/signInCall",
                                        Reason.of("profile.sign-in")));
    }

    private void tally(TallyTold told) {
        insist(
                told.byRequest() == told.line().isEmpty(),
                "/tally",
                Reason.of("profile.request-or-line"));
        insist(
                !told.byRequest() || profile.web().isPresent(),
                "/tally/reading",
                Reason.of("profile.web-server"));
        insist(
                told.byRequest() || profile.port(Protocol.SWITCHER).isPresent(),
                "/tally/line",
                Reason.of("profile.line-port"));
        KnobCheck.asked(told, "/tally", (at, reason) -> insist(false, at, reason));
    }

    private static boolean output(Set<String> sockets, String name) {
        return sockets.contains(name) || name.equals(NETWORK_PICTURE);
    }

    private void versions() {
        profile.firmware()
                .ifPresent(
                        f -> {
                            version(f.shipped(), "/firmware/shipped");
                            for (int i = 0; i < f.floors().size(); i++) {
                                version(
                                        f.floors().get(i).least(),
                                        "/firmware/floors/" + i + "/least");
                            }
                        });
    }

    private void version(String text, String at) {
        insist(Version.parse(text).isPresent(), at, Reason.of("profile.version"));
    }
}
