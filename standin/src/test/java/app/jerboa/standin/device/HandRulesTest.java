package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.standin.ShippedProfiles;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What hands do to devices, family by family: state and action against state and what is seen. */
class HandRulesTest {
    private static final Instant NOW = Instant.parse("2030-01-01T10:00:00Z");
    private static final NetworkSettings PLANNED =
            new NetworkSettings(Ipv4.parse("10.44.8.21"), 24, "10.44.8.254");

    private static final Map<String, Hand> HANDS =
            Map.ofEntries(
                    Map.entry("reset", new Hand.Reset(false)),
                    Map.entry("reset-network", new Hand.Reset(true)),
                    Map.entry("login", new Hand.Login(true, true)),
                    Map.entry("login-no-clock", new Hand.Login(true, false)),
                    Map.entry("login-wrong", new Hand.Login(false, true)),
                    Map.entry("remote", new Hand.Remote(true)),
                    Map.entry("save", new Hand.Save(PLANNED, Optional.empty())),
                    Map.entry("cut-keeps", cut(Hand.Save.Cut.KEEPS_OLD)),
                    Map.entry("cut-garbage", cut(Hand.Save.Cut.GARBAGE)),
                    Map.entry("lease", new Hand.Lease(true)),
                    Map.entry("number-3", new Hand.Turn("number", "3")),
                    Map.entry("number-9", new Hand.Turn("number", "9")),
                    Map.entry("number-200", new Hand.Turn("number", "200")),
                    Map.entry("baud-38400", new Hand.Turn("baud", "38400")),
                    Map.entry("baud-7", new Hand.Turn("baud", "7")),
                    Map.entry("overlay-off", new Hand.Turn("overlay", "off")),
                    Map.entry("infrared-off", new Hand.Turn("infrared", "off")),
                    Map.entry("format", new Hand.Turn("format", "1080p50")),
                    Map.entry("format-odd", new Hand.Turn("format", "4320p9")),
                    Map.entry("ir-1", new Hand.Infrared(1, false)),
                    Map.entry("ir-2", new Hand.Infrared(2, false)),
                    Map.entry("update", new Hand.Update("9.1")),
                    Map.entry("update-odd", new Hand.Update("nine")),
                    Map.entry("tip", new Hand.Balance(false)),
                    Map.entry("balance", new Hand.Balance(true)),
                    Map.entry("calibrate", new Hand.Calibrate()));

    private static Hand cut(Hand.Save.Cut left) {
        return new Hand.Save(PLANNED, Optional.of(left));
    }

    /**
     * Hands one after the other at a device from its box, and what came of the last: the address, r
     * for a restart and x for a refusal, the number, whether it obeys.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ceiling-ptz | login remote save | 10.44.8.21 | r | 1 | true",
                "ceiling-ptz | save | 192.168.77.10 | x | 1 | false",
                "ceiling-ptz | login-no-clock | 192.168.77.10 | x | 1 | false",
                "ceiling-ptz | remote | 192.168.77.10 | x | 1 | false",
                "ceiling-ptz | login remote save reset-network | 192.168.77.10 | r | 1 | true",
                "ceiling-ptz | login remote save reset | 192.168.77.10 | r | 1 | false",
                "ceiling-ptz | login remote cut-keeps | 192.168.77.10 | r | 1 | true",
                "ceiling-ptz | login save cut-garbage | 192.168.77.10 | r | 1 | false",
                "ceiling-ptz | login remote save update | 192.168.77.10 | r | 1 | true",
                "ceiling-ptz | login update-odd | 192.168.77.10 | x | 1 | false",
                "ceiling-ptz | number-3 | 192.168.77.10 | | 3 | false",
                "ceiling-ptz | number-9 | 192.168.77.10 | x | 1 | false",
                "ceiling-ptz | ir-1 | 192.168.77.10 | | 1 | false",
                "ceiling-ptz | ir-2 | 192.168.77.10 | x | 1 | false",
                "ceiling-ptz | infrared-off ir-1 | 192.168.77.10 | x | 1 | false",
                "ceiling-ptz | format-odd | 192.168.77.10 | x | 1 | false",
                "cinema-head | calibrate | 0.0.0.0 | | 1 | ",
                "cinema-head | tip | 0.0.0.0 | | 1 | ",
                "cinema-head | lease | 0.0.0.0 | r | 1 | ",
                "dome-rs485 | number-200 | 0.0.0.0 | | 200 | true",
                "dome-rs485 | save | 0.0.0.0 | x | 1 | true",
                "dome-rs485 | login save | 0.0.0.0 | x | 1 | true",
                "ceiling-ptz-serial | number-9 | 0.0.0.0 | x | 1 | true",
                "ceiling-ptz-serial | baud-38400 | 0.0.0.0 | | 1 | true",
                "ceiling-ptz-serial | baud-7 | 0.0.0.0 | x | 1 | true",
                "shoulder-camera | tip | | x | 1 | ",
                "poe-switch-16 | save | 10.44.8.21 | r | 1 | true",
                "poe-switch-16 | save reset | 10.90.0.2 | r | 1 | true",
                "house-router | balance | 0.0.0.0 | x | 1 | true"
            })
    void leaveIt(
            String profile,
            String hands,
            String address,
            String outcome,
            int number,
            String obeys) {
        HandRules.After after = after(profile, List.of(hands.split(" ")), true).get(0);
        Condition now = after.condition();
        if (address != null) {
            assertThat(now.settings().address()).hasToString(address);
        }
        assertThat((after.restarts() ? "r" : "") + (after.refused() ? "x" : ""))
                .as(after.says())
                .isEqualTo(outcome == null ? "" : outcome);
        assertThat(now.dials().number()).isEqualTo(number);
        if (obeys != null) {
            assertThat(now.obeys()).isEqualTo(Boolean.parseBoolean(obeys));
        }
        assertThat(after.says()).isNotBlank();
    }

    /** The last one first. */
    private static List<HandRules.After> after(String profile, List<String> hands, boolean up) {
        Profile facts = ShippedProfiles.read(profile).orElseThrow();
        HandRules rules = new HandRules(facts);
        Condition now = Condition.fresh(facts, "", false);
        List<HandRules.After> all = new ArrayList<>();
        for (String hand : hands) {
            all.add(0, rules.after(now, HANDS.get(hand), up, NOW));
            now = all.get(0).condition();
        }
        return all;
    }

    /** After five wrong passwords nobody gets in, and after five minutes they do again. */
    @ParameterizedTest
    @CsvSource({"4,0,true", "5,0,false", "5,299,false", "5,300,true"})
    void wrongPasswordsShutIt(int wrong, int secondsLater, boolean opens) {
        Profile facts = ShippedProfiles.read("ceiling-ptz").orElseThrow();
        HandRules rules = new HandRules(facts);
        Condition now = Condition.fresh(facts, "", false);
        for (int i = 0; i < wrong; i++) {
            now = rules.after(now, HANDS.get("login-wrong"), true, NOW).condition();
        }
        HandRules.After last =
                rules.after(now, HANDS.get("login"), true, NOW.plusSeconds(secondsLater));
        assertThat(!last.refused()).isEqualTo(opens);
    }

    @ParameterizedTest
    @CsvSource({
        "login,true",
        "save,true",
        "update,true",
        "calibrate,true",
        "ir-1,true",
        "lease,true",
        "number-3,false",
        "reset,false",
        "tip,false",
        "format,false"
    })
    void whatIsNotUpShowsNoPage(String hand, boolean refused) {
        assertThat(after("ceiling-ptz", List.of(hand), false).get(0).refused()).isEqualTo(refused);
    }
}
