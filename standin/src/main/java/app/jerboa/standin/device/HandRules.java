package app.jerboa.standin.device;

import app.jerboa.core.profile.Firmware;
import app.jerboa.core.profile.Ids;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SerialLine;
import app.jerboa.core.profile.Video;
import app.jerboa.core.value.Version;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What a hand at a device does to it: a table of states and actions, with nothing else in it. */
public final class HandRules {
    /** Wrong passwords in a row after which a device shuts. */
    public static final int MOST_WRONG = 5;

    /** How long it stays shut, in seconds. */
    public static final int SHUT_SECONDS = 300;

    /**
     * What came of it.
     *
     * @param restarts it starts again, as if its power had come
     * @param says what a person sees at the device
     * @param refused nothing was done, and {@code says} is why
     */
    public record After(Condition condition, boolean restarts, String says, boolean refused) {}

    private final Profile profile;

    public HandRules(Profile profile) {
        this.profile = profile;
    }

    /**
     * @param up it has started; what is not up can be turned and reset, but shows no page
     */
    public After after(Condition now, Hand hand, boolean up, Instant at) {
        return hand.match(new Case(now, up, at));
    }

    private final class Case implements Hand.Cases<After> {
        private final Condition now;
        private final boolean up;
        private final Instant at;

        Case(Condition now, boolean up, Instant at) {
            this.now = now;
            this.up = up;
            this.at = at;
        }

        private After done(Condition next, String says) {
            return new After(next, false, says, false);
        }

        private After restarts(Condition next, String says) {
            return new After(next, true, says, false);
        }

        private After refused(String why) {
            return new After(now, false, why, true);
        }

        private Optional<After> closed() {
            if (!up) {
                return Optional.of(refused("it is not up"));
            }
            return now.shut(at)
                    ? Optional.of(refused("it lets nobody in after too many wrong passwords"))
                    : Optional.empty();
        }

        @Override
        public After reset(Hand.Reset it) {
            boolean leases = Condition.fresh(profile, "", false).leases();
            if (it.networkOnly()) {
                return restarts(
                        now.with(Condition.factory(profile), leases),
                        "its network is as from the factory");
            }
            Condition fresh =
                    Condition.fresh(profile, now.dials().format(), !now.body().calibrated());
            return restarts(
                    fresh.with(now.body()).withFirmware(now.firmware()),
                    "it is as from the factory");
        }

        @Override
        public After login(Hand.Login it) {
            Optional<After> closed = closed();
            if (closed.isPresent()) {
                return closed.get();
            }
            Condition.SignIns s = now.signIns();
            if (!it.right()) {
                int wrong = s.wrong() + 1;
                Optional<Instant> shut =
                        wrong >= MOST_WRONG
                                ? Optional.of(at.plusSeconds(SHUT_SECONDS))
                                : Optional.empty();
                Condition.SignIns next = s.tried(shut.isPresent() ? 0 : wrong, shut);
                return new After(now.with(next), false, "wrong password", true);
            }
            boolean asksClock =
                    profile.access().filter(a -> a.asksClock()).isPresent() && !s.welcomed();
            if (asksClock && !it.clock()) {
                return refused("it wants date, time and zone first");
            }
            return done(now.with(s.in()), "logged in");
        }

        @Override
        public After remote(Hand.Remote it) {
            Optional<After> closed = closed();
            if (closed.isPresent()) {
                return closed.get();
            }
            if (!now.signIns().welcomed()) {
                return refused("it wants its first login first");
            }
            Condition.SignIns s = now.signIns();
            return done(
                    now.with(s.remote(it.on())),
                    it.on() ? "remote control is on" : "remote control is off");
        }

        @Override
        public After save(Hand.Save it) {
            Optional<After> closed = closed();
            if (closed.isPresent()) {
                return closed.get();
            }
            if (profile.network().isEmpty()) {
                return refused("it has no network");
            }
            if (profile.network().filter(Network::leaseOnly).isPresent()) {
                return refused("it takes leases only");
            }
            if (!now.signIns().welcomed()) {
                return refused("it wants its first login first");
            }
            if (it.cut().isEmpty()) {
                return restarts(now.with(it.settings(), false), "saved, it restarts");
            }
            return it.cut().get() == Hand.Save.Cut.KEEPS_OLD
                    ? restarts(now, "the power went, the old settings stand")
                    : restarts(
                            now.with(
                                    Condition.factory(profile),
                                    Condition.fresh(profile, "", false).leases()),
                            "the power went, it starts as from the factory");
        }

        @Override
        public After lease(Hand.Lease it) {
            Optional<Network> network = profile.network();
            if (!up) {
                return refused("it is not up");
            }
            // A search and a pairing put it on a lease as well.
            boolean can =
                    network.filter(n -> n.leaseToggle() || n.discovery() || n.pairingCode())
                                    .isPresent()
                            || network.filter(n -> n.leaseOnly() || now.leases()).isPresent();
            return can
                    ? restarts(
                            now.with(
                                    it.on() ? NetworkSettings.NONE : Condition.factory(profile),
                                    it.on()),
                            it.on() ? "it asks for a lease" : "it is on its own address")
                    : refused("it cannot be switched to a lease at the device");
        }

        @Override
        public After infrared(Hand.Infrared it) {
            if (!up || !now.dials().on("infrared")) {
                return refused("nothing happens");
            }
            boolean hears = profile.answers(Protocol.INFRARED).isPresent();
            if (!hears || it.number() != now.dials().number()) {
                return refused("nothing happens");
            }
            return it.asks() ? lease(new Hand.Lease(true)) : done(now, "it moves");
        }

        @Override
        public After update(Hand.Update it) {
            Optional<After> closed = closed();
            if (closed.isPresent()) {
                return closed.get();
            }
            if (profile.firmware().isEmpty() || Version.parse(it.version()).isEmpty()) {
                return refused("no firmware of this device");
            }
            Condition next = now.withFirmware(it.version());
            boolean loses = profile.firmware().filter(Firmware::updateResets).isPresent();
            return loses
                    ? restarts(
                            next.with(
                                    Condition.factory(profile),
                                    Condition.fresh(profile, "", false).leases()),
                            "updated; its address is the factory's again")
                    : restarts(next, "updated");
        }

        @Override
        public After balance(Hand.Balance it) {
            return profile.head().isEmpty()
                    ? refused("it has no head")
                    : done(
                            now.with(new Condition.Body(it.on(), now.body().calibrated())),
                            it.on() ? "it stays where it is put" : "it tips over");
        }

        @Override
        public After calibrate(Hand.Calibrate it) {
            return up
                    ? done(
                            now.with(new Condition.Body(now.body().balanced(), true)),
                            "the zoom motor has found its ends")
                    : refused("it is not up");
        }

        @Override
        public After turn(Hand.Turn it) {
            Condition.Dials d = now.dials();
            return switch (it.dial()) {
                case "number" ->
                        number(it.to())
                                .filter(this::canBe)
                                .map(n -> dials(n, d.baud(), d.mode(), d.format()))
                                .orElseGet(() -> refused("it has no such number"));
                case "baud" ->
                        number(it.to())
                                .filter(
                                        b ->
                                                serial().filter(s -> s.bauds().contains(b))
                                                        .isPresent())
                                .map(b -> dials(d.number(), b, d.mode(), d.format()))
                                .orElseGet(() -> refused("it has no such rate"));
                case "mode" -> mode(it.to());
                case "format" ->
                        profile.video().map(Video::formats).orElse(List.of()).contains(it.to())
                                ? dials(d.number(), d.baud(), d.mode(), it.to())
                                : refused("it has no such format");
                case "overlay", "infrared", "snmp" ->
                        done(
                                now.with(d.switched(it.dial(), it.to().equals("on"))),
                                it.dial() + " " + it.to());
                default -> refused("it has no dial \"" + it.dial() + "\"");
            };
        }

        private After mode(String to) {
            Condition.Dials d = now.dials();
            return Arrays.stream(Protocol.values())
                    .filter(p -> p.toString().equals(to))
                    .filter(p -> p == Protocol.VISCA_SERIAL || p == Protocol.D_PROTOCOL)
                    .filter(p -> serial().isPresent())
                    .findFirst()
                    .map(p -> dials(d.number(), d.baud(), Optional.of(p), d.format()))
                    .orElseGet(() -> refused("its serial port does not speak that"));
        }

        private After dials(int number, int baud, Optional<Protocol> mode, String format) {
            Condition.Dials d = now.dials();
            return done(
                    now.with(new Condition.Dials(number, baud, mode, format, d.on())), "turned");
        }

        private boolean canBe(int number) {
            Optional<Ids> ids = profile.ids();
            return ids.filter(i -> number >= i.lowest() && number <= i.highest()).isPresent();
        }

        private Optional<SerialLine> serial() {
            return profile.serial();
        }

        private static Optional<Integer> number(String text) {
            return text.matches("\\d{1,7}") ? Optional.of(Integer.valueOf(text)) : Optional.empty();
        }
    }
}
