package app.jerboa.core.job;

import app.jerboa.core.item.Field;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.FactoryMode;
import app.jerboa.core.profile.Filling;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Optics;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.PresetHome;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import java.util.List;
import java.util.function.Predicate;

/** Matters in which practitioners differ, and whether a profile can follow the way chosen. */
public final class Practices {
    public static final List<Field> MATTERS =
            List.of(
                    Field.PRACTICE_ADDRESSES,
                    Field.PRACTICE_REACH,
                    Field.PRACTICE_WIRING,
                    Field.PRACTICE_FILLING,
                    Field.PRACTICE_POWER,
                    Field.PRACTICE_FOCUS,
                    Field.PRACTICE_STICK,
                    Field.PRACTICE_ACCESS,
                    Field.PRACTICE_PRESETS);

    /** Whether a device can do as the house does. */
    public enum Fit {
        FOLLOWS,
        CANNOT,
        /** The matter is not one of this device. */
        NOT_CONCERNED
    }

    private Practices() {}

    /**
     * @param way one of the choices of the matter
     */
    public static Fit fit(Profile p, Field matter, String way) {
        return switch (matter) {
            case PRACTICE_ADDRESSES -> addresses(p, way);
            case PRACTICE_REACH -> reach(p, way);
            case PRACTICE_WIRING -> ofCameras(p, wiring(way));
            case PRACTICE_FILLING -> filling(p, way);
            case PRACTICE_POWER -> ofCameras(p, power(way));
            case PRACTICE_FOCUS -> ofCameras(p, focus(way));
            case PRACTICE_ACCESS ->
                    way.equals("direct")
                            ? ofCameras(p, x -> true)
                            : ofCameras(p, x -> x.answers(Protocol.ONVIF).isPresent());
            case PRACTICE_PRESETS -> presets(p, way);
            default -> Fit.NOT_CONCERNED;
        };
    }

    private static Fit ofCameras(Profile p, Predicate<Profile> can) {
        return p.kind() == DeviceKind.CAMERA ? answer(can.test(p)) : Fit.NOT_CONCERNED;
    }

    private static Fit answer(boolean can) {
        return can ? Fit.FOLLOWS : Fit.CANNOT;
    }

    private static Fit addresses(Profile p, String way) {
        if (p.network().isEmpty() || p.kind() == DeviceKind.ROUTER) {
            return Fit.NOT_CONCERNED;
        }
        return answer(!way.equals("static") || !p.network().get().leaseOnly());
    }

    private static Fit reach(Profile p, String way) {
        if (p.network().isEmpty() || p.kind() == DeviceKind.ROUTER) {
            return Fit.NOT_CONCERNED;
        }
        Network n = p.network().get();
        return switch (way) {
            case "hop", "second-address", "switch-port" ->
                    n.starts() == FactoryMode.FIXED ? Fit.FOLLOWS : Fit.NOT_CONCERNED;
            case "lease" -> answer(n.starts() == FactoryMode.LEASE || n.leaseToggle());
            case "pairing-code" -> answer(n.pairingCode());
            default -> answer(n.discovery());
        };
    }

    private static Predicate<Profile> wiring(String way) {
        return switch (way) {
            case "ip" -> p -> answersOver(p, Transport.UDP) || answersOver(p, Transport.TCP);
            case "rs-232" -> p -> answersOver(p, Transport.RS_232);
            case "rs-485" -> p -> answersOver(p, Transport.RS_485);
            default -> p -> true;
        };
    }

    private static boolean answersOver(Profile p, Transport over) {
        return p.speaks().stream().anyMatch(s -> !s.sends() && s.over() == over);
    }

    private static Fit filling(Profile p, String way) {
        if (p.kind() != DeviceKind.CONTROLLER || p.keys().isEmpty()) {
            return Fit.NOT_CONCERNED;
        }
        return answer(
                way.equals("mixed")
                        || p.keys().get().filledBy().stream()
                                .map(Filling::toString)
                                .anyMatch(way::equals));
    }

    private static Predicate<Profile> power(String way) {
        return p -> way.equals("mixed") || p.draw().filter(d -> takes(d, way)).isPresent();
    }

    private static boolean takes(PowerDraw d, String way) {
        return switch (way) {
            case "poe" -> d.poeClass().isPresent() || d.splitter();
            case "local" -> d.mains() || d.volts().isPresent();
            case "over-the-run" -> d.volts().isPresent();
            default -> d.battery();
        };
    }

    private static Predicate<Profile> focus(String way) {
        return p ->
                switch (way) {
                    case "locked" -> true;
                    case "tracking" -> carries(p, RemoteFunction.TRACKING);
                    default ->
                            carries(p, RemoteFunction.FOCUS)
                                    || p.optics().filter(Optics::servoFocus).isPresent();
                };
    }

    private static boolean carries(Profile p, RemoteFunction function) {
        return p.speaks().stream()
                .filter(s -> !s.sends())
                .map(Speaks::carries)
                .anyMatch(c -> c.contains(function));
    }

    /** Cameras store their own; what controllers and software store is theirs. */
    private static Fit presets(Profile p, String way) {
        if (way.equals("mixed") || p.presets().isEmpty() && p.head().isEmpty()) {
            return Fit.NOT_CONCERNED;
        }
        boolean there = p.presets().map(x -> x.keptIn().toString()).filter(way::equals).isPresent();
        boolean storesOwn = p.kind() == DeviceKind.CAMERA;
        boolean inCamera = way.equals(PresetHome.CAMERA.toString());
        return storesOwn == inCamera ? answer(there) : Fit.NOT_CONCERNED;
    }
}
