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
import app.jerboa.server.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What a profile's facts mean for the work, in sentences, in the order of the work. */
final class Implications {
    private static final Map<PresetHome, String> LOST =
            Map.of(
                    PresetHome.CAMERA, "means.presets-camera",
                    PresetHome.CONTROLLER, "means.presets-controller",
                    PresetHome.SOFTWARE, "means.presets-software");

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

    private void say(boolean so, String key) {
        say(so, key, Map.of());
    }

    private void say(boolean so, String key, Map<String, ?> facts) {
        if (so) {
            said.add(Words.say(key, facts));
        }
    }

    private void firstContact() {
        p.factory()
                .ifPresent(f -> say(true, "means.factory-address", Map.of("address", f.address())));
        p.network()
                .ifPresent(
                        n -> {
                            say(
                                    !n.needs().isEmpty(),
                                    "means.no-ethernet",
                                    Map.of("needs", n.needs()));
                            say(n.leaseOnly(), "means.lease-only");
                            say(n.medium() == Medium.WIRELESS, "means.wireless");
                            n.changeOverSeconds()
                                    .ifPresent(
                                            s ->
                                                    say(
                                                            true,
                                                            "means.change-over",
                                                            Map.of("seconds", s)));
                        });
        p.access()
                .ifPresent(
                        a -> {
                            say(a.firstLogin(), "means.first-login");
                            say(a.asksClock(), "means.clock");
                            say(a.password() == PasswordRule.FACTORY, "means.factory-password");
                            say(
                                    !a.remoteAt().isEmpty(),
                                    "means.remote-at",
                                    Map.of("place", a.remoteAt()));
                        });
    }

    private void control() {
        p.keys()
                .ifPresent(
                        k -> {
                            say(
                                    k.counting(),
                                    k.lastOctetOnly() ? "means.counting-octet" : "means.counting");
                            say(k.searchHandsOut(), "means.search");
                            say(k.locked(), "means.locked");
                            say(k.refusesSameName(), "means.same-name");
                        });
        say(
                p.speaks().stream().anyMatch(s -> !s.sends() && !s.twoWay())
                        && p.speaks().stream().noneMatch(Speaks::twoWay),
                "means.silent");
        for (Port port : p.ports()) {
            say(
                    port.use() == PortUse.CONFIGURATION,
                    "means.set-up-port",
                    Map.of("port", port.name()));
        }
        p.head()
                .ifPresent(
                        h ->
                                h.turns()
                                        .ifPresent(
                                                t ->
                                                        say(
                                                                true,
                                                                "means.turns",
                                                                Map.of("turns", number(t)))));
        p.optics()
                .ifPresent(
                        o -> {
                            say(o.fit() == LensFit.INTERCHANGEABLE, "means.lens");
                            say(
                                    o.fit() == LensFit.IS_A_LENS
                                            && !o.servoZoom()
                                            && o.factor().isEmpty(),
                                    "means.no-zoom");
                            say(o.lengthens(), "means.lengthens");
                            say(
                                    !o.switches().isEmpty(),
                                    "means.lens-switches",
                                    Map.of("switches", String.join(", ", o.switches())));
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
                                                        "means.poe",
                                                        Map.of(
                                                                "watts",
                                                                number(poe.portWatts()),
                                                                "class",
                                                                c,
                                                                "metres",
                                                                Math.round(
                                                                        Math.min(
                                                                                100,
                                                                                PoeRun.longest(
                                                                                        poe,
                                                                                        d
                                                                                                .mostWatts())))));
                                            });
                            say(d.splitter(), "means.splitter");
                            say(
                                    d.poeClass().isEmpty()
                                            && !d.mains()
                                            && !d.battery()
                                            && d.volts().isPresent(),
                                    "means.dc");
                        });
        p.gives().ifPresent(g -> say(g.passive(), "means.passive"));
    }

    private void picture() {
        for (Clash clash : p.clashes()) {
            say(
                    true,
                    "means.clash",
                    Map.of("one", clash.one(), "other", clash.other(), "when", clash.when()));
        }
        p.video()
                .ifPresent(
                        v -> {
                            say(!v.dial().isEmpty(), "means.dial");
                            say(
                                    !v.overlays().isEmpty(),
                                    "means.overlays",
                                    Map.of("overlays", String.join(", ", v.overlays())));
                        });
        say(
                !p.paintNeeds().isEmpty(),
                "means.paint",
                Map.of("needs", String.join(", ", p.paintNeeds())));
        p.presets().ifPresent(x -> say(true, LOST.get(x.keptIn())));
    }

    private void later() {
        p.firmware()
                .ifPresent(
                        f -> {
                            for (FirmwareFloor floor : f.floors()) {
                                say(
                                        true,
                                        "means.firmware",
                                        Map.of(
                                                "least",
                                                floor.least(),
                                                "sort",
                                                floor.controller().toString().replace('-', ' ')));
                            }
                            say(f.updateResets(), "means.update");
                        });
        p.recovery()
                .ifPresent(
                        r ->
                                say(
                                        !r.lostPassword().isEmpty(),
                                        "means.lost-password",
                                        Map.of("how", r.lostPassword())));
    }

    private static String number(double value) {
        return value == Math.rint(value)
                ? Long.toString(Math.round(value))
                : String.format(Locale.ROOT, "%.1f", value);
    }
}
