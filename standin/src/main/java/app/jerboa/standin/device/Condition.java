package app.jerboa.standin.device;

import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.FactoryMode;
import app.jerboa.core.profile.Firmware;
import app.jerboa.core.profile.Ids;
import app.jerboa.core.profile.PasswordRule;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SerialLine;
import app.jerboa.core.profile.Video;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * How one device is set: all of it that stays when the power goes. Its password is kept apart from
 * this, since this is shown and saved.
 *
 * @param settings what it believes of the network; {@link NetworkSettings#NONE} while it has none
 * @param leases it asks the house for its settings
 * @param firmware dotted numbers; blank where its profile names none
 */
public record Condition(
        NetworkSettings settings,
        boolean leases,
        SignIns signIns,
        Dials dials,
        Body body,
        String firmware) {
    /** Menu and status in the picture, the receiver of hand remotes, what a switch tells. */
    public static final List<String> SWITCHES = List.of("overlay", "infrared", "snmp");

    /**
     * Who gets in.
     *
     * @param welcomed its first login is done
     * @param remote remote control is enabled
     * @param wrong passwords in a row
     * @param shutUntil it lets nobody in before
     * @param strange its password is one that nobody noted
     */
    public record SignIns(
            boolean welcomed,
            boolean remote,
            int wrong,
            Optional<Instant> shutUntil,
            boolean strange) {
        /** Open for everything that knows the password. */
        public static final SignIns OPEN = new SignIns(true, true, 0, Optional.empty(), false);

        public SignIns strange(boolean now) {
            return new SignIns(welcomed, remote, wrong, shutUntil, now);
        }

        SignIns remote(boolean on) {
            return new SignIns(welcomed, on, wrong, shutUntil, strange);
        }

        SignIns tried(int wrongNow, Optional<Instant> shut) {
            return new SignIns(welcomed, remote, wrongNow, shut, strange);
        }

        SignIns in() {
            return new SignIns(true, remote, 0, Optional.empty(), strange);
        }
    }

    /**
     * What is turned at the device itself.
     *
     * @param number it answers to on a serial lead
     * @param mode what its serial port speaks; empty where it speaks only one thing
     * @param format of its picture; blank for none
     * @param on its switches that are on, of {@link #SWITCHES}
     */
    public record Dials(
            int number, int baud, Optional<Protocol> mode, String format, Set<String> on) {
        public Dials {
            on = Set.copyOf(on);
        }

        public boolean on(String which) {
            return on.contains(which);
        }

        Dials switched(String which, boolean to) {
            Set<String> next = new TreeSet<>(on);
            if (to) {
                next.add(which);
            } else {
                next.remove(which);
            }
            return new Dials(number, baud, mode, format, next);
        }
    }

    /**
     * @param balanced empty-handed it stays where it is put
     * @param calibrated its zoom motor knows its ends
     */
    public record Body(boolean balanced, boolean calibrated) {}

    /**
     * As it comes from the box.
     *
     * @param format where its dial happens to stand; blank for its first
     * @param motor a zoom motor is fitted, which knows no ends yet
     */
    public static Condition fresh(Profile profile, String format, boolean motor) {
        boolean ownFormat = !format.isEmpty();
        List<String> formats = profile.video().map(Video::formats).orElse(List.of());
        String first = formats.isEmpty() ? "" : formats.get(0);
        return new Condition(
                factory(profile),
                profile.network().filter(n -> n.starts() != FactoryMode.FIXED).isPresent(),
                asks(profile),
                new Dials(
                        profile.ids().map(Ids::factory).orElse(1),
                        profile.serial().map(SerialLine::baud).orElse(0),
                        Optional.empty(),
                        ownFormat ? format : first,
                        switches(profile)),
                new Body(true, !motor),
                profile.firmware().map(Firmware::shipped).orElse(""));
    }

    private static Set<String> switches(Profile profile) {
        Set<String> on = new TreeSet<>(SWITCHES);
        if (profile.video().filter(v -> !v.overlays().isEmpty()).isEmpty()) {
            on.remove("overlay");
        }
        return on;
    }

    static NetworkSettings factory(Profile profile) {
        return profile.factory()
                .map(
                        f ->
                                new NetworkSettings(
                                        f.address(),
                                        f.prefix(),
                                        f.gateway().map(Object::toString).orElse("")))
                .orElse(NetworkSettings.NONE);
    }

    private static SignIns asks(Profile profile) {
        Optional<Access> access = profile.access();
        boolean first =
                access.filter(
                                a ->
                                        a.firstLogin()
                                                || a.asksClock()
                                                || a.password() == PasswordRule.SET_AT_FIRST_LOGIN)
                        .isPresent();
        boolean remoteOff = access.filter(a -> !a.remoteAt().isEmpty()).isPresent();
        return new SignIns(!first, !remoteOff, 0, Optional.empty(), false);
    }

    /** It obeys: nobody has still to log in first, or to allow remote control. */
    public boolean obeys() {
        return signIns.welcomed() && signIns.remote();
    }

    public boolean shut(Instant now) {
        return signIns.shutUntil().filter(now::isBefore).isPresent();
    }

    public Condition with(NetworkSettings next, boolean asLease) {
        return new Condition(next, asLease, signIns, dials, body, firmware);
    }

    public Condition with(SignIns next) {
        return new Condition(settings, leases, next, dials, body, firmware);
    }

    public Condition with(Dials next) {
        return new Condition(settings, leases, signIns, next, body, firmware);
    }

    public Condition with(Body next) {
        return new Condition(settings, leases, signIns, dials, next, firmware);
    }

    public Condition withFirmware(String next) {
        return new Condition(settings, leases, signIns, dials, body, next);
    }
}
