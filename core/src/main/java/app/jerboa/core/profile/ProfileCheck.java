package app.jerboa.core.profile;

import app.jerboa.core.knob.AxisFramesCheck;
import app.jerboa.core.knob.KnobCheck;
import app.jerboa.core.knob.TallyTold;
import app.jerboa.core.knob.Tongue;
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
    public record Disagreement(String at, String reason) {}

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

    private void insist(boolean holds, String at, String reason) {
        if (!holds) {
            found.add(new Disagreement(at, reason));
        }
    }

    private void identity() {
        insist(ID.matcher(profile.id()).matches(), "/id", "small letters, digits and dashes only");
    }

    private void network() {
        profile.network()
                .ifPresent(
                        n -> {
                            boolean fixed = n.starts() == FactoryMode.FIXED;
                            insist(
                                    n.address().isPresent() == fixed,
                                    "/network/address",
                                    "a factory address belongs to a fixed start, and only there");
                            insist(
                                    n.factory()
                                            .filter(f -> !f.subnet().isHost(f.address()))
                                            .isEmpty(),
                                    "/network/address",
                                    "not a host of its own subnet");
                            insist(
                                    (n.medium() == Medium.WITH_OPTION) == !n.needs().isEmpty(),
                                    "/network/needs",
                                    "what must be fitted goes with the medium with-option");
                        });
        insist(
                profile.network().isPresent()
                        || profile.kind() == DeviceKind.CAMERA
                        || profile.speaks().stream().noneMatch(ProfileCheck::onNetwork),
                "/speaks",
                "a protocol over UDP or TCP needs a network");
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
                    "a port belongs to UDP and TCP, and only there");
        }
        profile.serial()
                .ifPresent(
                        s ->
                                insist(
                                        s.bauds().contains(s.baud()),
                                        "/serial/baud",
                                        "not one of its baud rates"));
        profile.ids()
                .ifPresent(
                        i ->
                                insist(
                                        i.lowest() <= i.factory() && i.factory() <= i.highest(),
                                        "/ids/factory",
                                        "not between the lowest and the highest ID"));
        profile.keys()
                .ifPresent(
                        k -> {
                            insist(
                                    profile.speaks().stream().anyMatch(Speaks::sends),
                                    "/keys",
                                    "camera keys need a protocol that sends");
                            insist(
                                    k.counting() == k.filledBy().contains(Filling.COUNTING),
                                    "/keys/filledBy",
                                    "counting up and filled by counting go together");
                        });
    }

    private void power() {
        profile.draw()
                .ifPresent(
                        d -> {
                            insist(
                                    d.idleWatts() <= d.mostWatts(),
                                    "/draw/mostWatts",
                                    "less than at rest");
                            insist(
                                    d.leastVolts().isEmpty()
                                            || d.volts().isPresent()
                                                    && d.leastVolts().getAsDouble()
                                                            <= d.volts().getAsDouble(),
                                    "/draw/leastVolts",
                                    "above its nominal volts");
                        });
        profile.gives()
                .ifPresent(
                        g ->
                                insist(
                                        g.outWatts().isEmpty() || g.volts().isPresent(),
                                        "/gives/volts",
                                        "watts of DC need their volts"));
    }

    private void head() {
        profile.head()
                .ifPresent(
                        h -> {
                            insist(
                                    h.panLeftDegrees() < h.panRightDegrees(),
                                    "/head/panRightDegrees",
                                    "pan must have room to move");
                            insist(
                                    h.tiltDownDegrees() < h.tiltUpDegrees(),
                                    "/head/tiltUpDegrees",
                                    "tilt must have room to move");
                            h.roll().ifPresent(a -> axis(a, "/head/roll"));
                            h.rail().ifPresent(a -> axis(a, "/head/rail"));
                        });
    }

    private void axis(Axis a, String at) {
        BiConsumer<String, String> report = (place, reason) -> insist(false, place, reason);
        insist(
                a.drive().isEmpty() || a.slowest() <= a.fastest(),
                at + "/fastest",
                "the fastest is no slower");
        AxisFramesCheck.driven(a.steps(), a.drive(), at, report);
        AxisFramesCheck.asked(a.ask(), a.answer(), a.countsPerUnit().isPresent(), at, report);
    }

    private void picture() {
        Set<String> sockets = profile.ports().stream().map(Port::name).collect(Collectors.toSet());
        for (int i = 0; i < profile.clashes().size(); i++) {
            Clash clash = profile.clashes().get(i);
            String at = "/clashes/" + i;
            insist(output(sockets, clash.one()), at + "/one", "no socket of that name");
            insist(output(sockets, clash.other()), at + "/other", "no socket of that name");
        }
        profile.video()
                .ifPresent(
                        v -> {
                            for (int i = 0; i < v.dial().size(); i++) {
                                insist(
                                        v.formats().contains(v.dial().get(i).format()),
                                        "/video/dial/" + i + "/format",
                                        "not one of its formats");
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
                "turning knobs at cameras needs a protocol that sends");
        insist(
                profile.web().isEmpty() || profile.speaks(Tongue.HTTP),
                "/web",
                "requests need the protocol web");
        profile.tally().ifPresent(this::tally);
        profile.web()
                .ifPresent(
                        w ->
                                insist(
                                        w.signInCall().isPresent() == (w.signIn() == SignIn.COOKIE),
                                        "/web/signInCall",
                                        "a sign-in request goes with cookies, and only there"));
    }

    private void tally(TallyTold told) {
        insist(
                told.byRequest() == told.line().isEmpty(),
                "/tally",
                "either a request or a line of text asks");
        insist(
                !told.byRequest() || profile.web().isPresent(),
                "/tally/reading",
                "a request needs its web server");
        insist(
                told.byRequest() || profile.port(Protocol.SWITCHER).isPresent(),
                "/tally/line",
                "a line needs the port of the protocol switcher");
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
        insist(Version.parse(text).isPresent(), at, "numbers with dots, for example 2.4.1");
    }
}
