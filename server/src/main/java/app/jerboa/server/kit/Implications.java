package app.jerboa.server.kit;

import app.jerboa.core.power.PoeClass;
import app.jerboa.core.power.PoeRun;
import app.jerboa.core.profile.Clash;
import app.jerboa.core.profile.FirmwareFloor;
import app.jerboa.core.profile.LensFit;
import app.jerboa.core.profile.Medium;
import app.jerboa.core.profile.PasswordRule;
import app.jerboa.core.profile.Port;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.PresetHome;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Speaks;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What a profile's facts mean for the work, in sentences, in the order of the work. */
final class Implications {
    private static final Map<PresetHome, String> LOST =
            Map.of(
                    PresetHome.CAMERA, "Presets live in the camera: a reset or a swap loses them.",
                    PresetHome.CONTROLLER,
                            "Presets live in this controller: another one does not know them.",
                    PresetHome.SOFTWARE, "Presets live in its project: back it up with the job.");

    private final Profile p;
    private final List<String> said = new ArrayList<>();

    private Implications(Profile profile) {
        this.p = profile;
    }

    static List<String> of(Profile profile) {
        Implications all = new Implications(profile);
        all.firstContact();
        all.control();
        all.power();
        all.picture();
        all.later();
        return List.copyOf(all.said);
    }

    private void say(boolean so, String sentence) {
        if (so) {
            said.add(sentence);
        }
    }

    private void firstContact() {
        p.factory()
                .ifPresent(
                        f ->
                                say(
                                        true,
                                        "Every one starts on "
                                                + f.address()
                                                + ": connect one at a time and move it before the next."));
        p.network()
                .ifPresent(
                        n -> {
                            say(
                                    !n.needs().isEmpty(),
                                    "Has no Ethernet until this is fitted: " + n.needs() + ".");
                            say(
                                    n.leaseOnly(),
                                    "Takes leases only: reserve its address at the router.");
                            say(
                                    n.medium() == Medium.WIRELESS,
                                    "Wireless only: plan a fall-back, and keep the point close.");
                            n.changeOverSeconds()
                                    .ifPresent(
                                            s ->
                                                    say(
                                                            true,
                                                            "Changing between wired and wireless takes "
                                                                    + s
                                                                    + " s without control."));
                        });
        p.access()
                .ifPresent(
                        a -> {
                            say(
                                    a.firstLogin(),
                                    "Refuses control until a first login has set its password.");
                            say(a.asksClock(), "Asks for date, time and zone at the first login.");
                            say(
                                    a.password() == PasswordRule.FACTORY,
                                    "Comes with a password that all of them share: change it.");
                            say(
                                    !a.remoteAt().isEmpty(),
                                    "Remote control is enabled at: " + a.remoteAt() + ".");
                        });
    }

    private void control() {
        p.keys()
                .ifPresent(
                        k -> {
                            say(
                                    k.counting(),
                                    "Counts up from its first camera's address: no gaps, in key order"
                                            + (k.lastOctetOnly() ? ", not past .255." : "."));
                            say(
                                    k.searchHandsOut(),
                                    "Its search hands out new addresses: that undoes the plan.");
                            say(
                                    k.locked(),
                                    "Drives its own protocol family only: check before buying.");
                            say(k.refusesSameName(), "Refuses two cameras of one name.");
                        });
        say(
                p.speaks().stream().anyMatch(s -> !s.sends() && !s.twoWay())
                        && p.speaks().stream().noneMatch(Speaks::twoWay),
                "Answers nothing back: what it did must be seen.");
        for (Port port : p.ports()) {
            say(
                    port.use() == PortUse.CONFIGURATION,
                    port.name() + " is for set-up only, never for control.");
        }
        p.head()
                .ifPresent(
                        h ->
                                h.turns()
                                        .ifPresent(
                                                t ->
                                                        say(
                                                                true,
                                                                "Its leads wrap after "
                                                                        + number(t)
                                                                        + " turns.")));
        p.optics()
                .ifPresent(
                        o -> {
                            say(
                                    o.fit() == LensFit.INTERCHANGEABLE,
                                    "Whether it zooms from afar depends on the lens; balance it with the lens on.");
                            say(
                                    o.fit() == LensFit.IS_A_LENS
                                            && !o.servoZoom()
                                            && o.factor().isEmpty(),
                                    "Has no zoom motor: remote zoom needs one.");
                            say(o.lengthens(), "Lengthens when zoomed: balance it in both states.");
                            say(
                                    !o.switches().isEmpty(),
                                    "Set at the lens: " + String.join(", ", o.switches()) + ".");
                        });
    }

    private void power() {
        p.draw()
                .ifPresent(
                        d -> {
                            d.poeClass()
                                    .ifPresent(
                                            c -> {
                                                PoeClass poe = PoeClass.of(c);
                                                say(
                                                        true,
                                                        "A switch reserves "
                                                                + number(poe.portWatts())
                                                                + " W for it (class "
                                                                + c
                                                                + "); with AWG 24 it runs up to "
                                                                + Math.round(
                                                                        Math.min(
                                                                                100,
                                                                                PoeRun.longest(
                                                                                        poe,
                                                                                        d
                                                                                                .mostWatts())))
                                                                + " m (100 m is the standard's limit).");
                                            });
                            say(d.splitter(), "Takes PoE through a splitter only.");
                            say(
                                    d.poeClass().isEmpty()
                                            && !d.mains()
                                            && !d.battery()
                                            && d.volts().isPresent(),
                                    "Needs a DC supply or a run that carries DC: check the volts that arrive, and the polarity.");
                        });
        p.gives()
                .ifPresent(
                        g ->
                                say(
                                        g.passive(),
                                        "Puts power on the pairs without asking: it can destroy what does not expect it."));
    }

    private void picture() {
        for (Clash clash : p.clashes()) {
            say(
                    true,
                    clash.one()
                            + " not together with "
                            + clash.other()
                            + " when "
                            + clash.when()
                            + ".");
        }
        p.video()
                .ifPresent(
                        v -> {
                            say(!v.dial().isEmpty(), "Set the format dial while it is in reach.");
                            say(
                                    !v.overlays().isEmpty(),
                                    "Switch off for the programme: "
                                            + String.join(", ", v.overlays())
                                            + ".");
                        });
        say(
                !p.paintNeeds().isEmpty(),
                "Painting only acts with: " + String.join(", ", p.paintNeeds()) + ".");
        p.presets().ifPresent(x -> say(true, LOST.get(x.keptIn())));
    }

    private void later() {
        p.firmware()
                .ifPresent(
                        f -> {
                            for (FirmwareFloor floor : f.floors()) {
                                say(
                                        true,
                                        "Firmware "
                                                + floor.least()
                                                + " or newer for a controller of the sort "
                                                + floor.controller().toString().replace('-', ' ')
                                                + ".");
                            }
                            say(
                                    f.updateResets(),
                                    "An update puts the factory address back: check again after one.");
                        });
        p.recovery()
                .ifPresent(
                        r ->
                                say(
                                        !r.lostPassword().isEmpty(),
                                        "Lost password: " + r.lostPassword() + "."));
    }

    private static String number(double value) {
        return value == Math.rint(value)
                ? Long.toString(Math.round(value))
                : String.format(Locale.ROOT, "%.1f", value);
    }
}
