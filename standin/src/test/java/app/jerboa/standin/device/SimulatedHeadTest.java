package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.wire.octets.Octets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What one head answers to frames, in hex, as time goes on. */
class SimulatedHeadTest {
    private static final Instant START = Instant.parse("2026-11-28T10:00:00Z");

    private static final Profile PROFILE = ShippedProfiles.read("ceiling-ptz").orElseThrow();
    private final Head facts = PROFILE.head().orElseThrow();
    private final KnobBank bank = new KnobBank(PROFILE, 1);
    private Instant now = START;

    /** Ends of moves are told by a timer's thread as well. */
    private final Queue<String> heard = new ConcurrentLinkedQueue<>();

    private final SimulatedHead head = new SimulatedHead(facts, bank, () -> now, () -> now);

    private List<String> say(String hex) {
        new ViscaVoice(head, 1).hear(Octets.ofHex(hex), r -> heard.add(r.toString()));
        return taken();
    }

    private List<String> pass(double seconds) {
        now = now.plusNanos((long) (seconds * 1e9));
        head.state();
        return taken();
    }

    private List<String> taken() {
        List<String> all = new ArrayList<>();
        for (String next = heard.poll(); next != null; next = heard.poll()) {
            all.add(next);
        }
        return all;
    }

    /** What is set is read back by the inquiry of its own category and function. */
    @ParameterizedTest
    @CsvSource({
        "81 01 04 35 05 FF, 81 09 04 35 FF, 90 50 05 FF",
        "81 01 04 39 03 FF, 81 09 04 39 FF, 90 50 03 FF",
        "81 01 04 35 05 FF; 81 01 04 43 00 00 0A 05 FF, 81 09 04 43 FF, 90 50 00 00 0A 05 FF",
        "81 01 04 35 05 FF; 81 01 04 03 02 FF, 81 09 04 43 FF, 90 50 00 00 08 01 FF",
        "81 01 04 35 05 FF; 81 01 04 04 03 FF, 81 09 04 44 FF, 90 50 00 00 07 0F FF",
        "81 01 04 39 03 FF; 81 01 04 4C 00 00 00 07 FF, 81 09 04 4C FF, 90 50 00 00 00 07 FF",
        "81 01 7E 05 10 06 FF, 81 09 7E 05 10 FF, 90 50 06 FF",
        "81 01 7E 01 0A 00 02 FF, 81 09 7E 01 0A FF, 90 50 02 FF",
        "81 01 06 06 02 FF, 81 09 06 06 FF, 90 50 02 FF"
    })
    void whatIsSetIsReadBack(String set, String ask, String answer) {
        for (String one : set.split("; ", -1)) {
            assertThat(say(one)).containsExactly("90 41 FF", "90 51 FF");
        }
        assertThat(say(ask)).containsExactly(answer);
    }

    @Test
    void aPresetIsRecalledWithItsLensAndEndsOnArrival() {
        say("81 01 06 02 18 14 00 09 00 00 00 04 08 00 FF");
        assertThat(pass(60)).containsExactly("90 51 FF");
        assertThat(say("81 09 06 12 FF")).containsExactly("90 50 00 09 00 00 00 04 08 00 FF");
        assertThat(say("81 01 04 47 04 00 00 00 FF")).containsExactly("90 42 FF");
        assertThat(pass(60)).containsExactly("90 52 FF");
        assertThat(say("81 01 04 3F 01 07 FF")).containsExactly("90 41 FF", "90 51 FF");
        say("81 01 06 04 FF");
        say("81 01 04 47 00 00 00 00 FF");
        pass(60);
        assertThat(say("81 01 04 3F 02 07 FF")).containsExactly("90 41 FF");
        assertThat(pass(0.01)).isEmpty();
        assertThat(pass(60)).containsExactly("90 51 FF");
        assertThat(head.state().pan()).isEqualTo(2304 / facts.countsPerDegree());
        assertThat(head.state().zoom()).isEqualTo(1);
        assertThat(say("81 01 04 3F 02 08 FF")).as("never stored").containsExactly("90 60 41 FF");
    }

    /**
     * Told that it stands on a table, it goes the other way on the wire and in its places alike: 5
     * degrees to the right as it was built are 5 to the left as it says, and its limits go along.
     */
    @Test
    void oneThatHangsTheOtherWayTurnsSpeedsPlacesAndLimitsRound() {
        int counts = (int) Math.round(5 * facts.countsPerDegree());
        say("81 01 7E 05 11 01 FF");
        say("81 01 06 01 18 14 02 03 FF");
        pass(1);
        assertThat(head.state().pan()).as("told right").isNegative();
        say("81 01 06 01 18 14 03 03 FF");
        say("81 01 06 02 18 14 %s 00 00 00 00 FF".formatted(nibbles(counts)));
        pass(60);
        assertThat(head.state().pan()).isCloseTo(-5, within(0.1));
        assertThat(say("81 09 06 12 FF").get(0)).startsWith("90 50 " + nibbles(counts));
        // No farther right, as it is said, than 2 degrees.
        int two = (int) Math.round(2 * facts.countsPerDegree());
        say("81 01 06 07 00 01 %s 07 0F 0F 0F FF".formatted(nibbles(two)));
        say("81 01 06 02 18 14 %s 00 00 00 00 FF".formatted(nibbles(counts)));
        pass(60);
        assertThat(head.state().pan()).isCloseTo(-2, within(0.1));
        say("81 01 7E 05 11 00 FF");
        assertThat(say("81 09 06 12 FF").get(0)).startsWith("90 50 " + nibbles(-two));
    }

    private static String nibbles(int counts) {
        return "%04X".formatted(counts & 0xFFFF).replaceAll("(.)", "0$1 ").strip();
    }

    /** Preset speed 06 01; the steps of its head's own pan, by the time a long way takes. */
    @ParameterizedTest
    @CsvSource({"18", "0C", "04"})
    void aRecallGoesAsFastAsItWasTold(String speed) {
        say("81 01 04 3F 01 07 FF");
        say("81 01 06 02 18 14 00 0F 00 00 00 00 00 00 FF");
        pass(120);
        double far = head.state().pan();
        say("81 01 06 01 " + speed + " FF");
        say("81 01 04 3F 02 07 FF");
        pass(1);
        double first = head.state().pan();
        pass(0.5);
        double rate = (first - head.state().pan()) / 0.5;
        assertThat(far).isGreaterThan(100);
        assertThat(rate)
                .isCloseTo(facts.pan().at(Integer.parseInt(speed, 16)), within(1e-6 + rate / 50));
    }

    @Test
    void aSpeedThatItHasNotIsRefused() {
        SimulatedHead plain =
                new SimulatedHead(
                        facts,
                        new KnobBank(ShippedProfiles.read("ceiling-ptz-usb").orElseThrow(), 1),
                        () -> now,
                        () -> now);
        new ViscaVoice(plain, 1)
                .hear(Octets.ofHex("81 01 06 01 04 FF"), r -> heard.add(r.toString()));
        assertThat(taken()).containsExactly("90 60 41 FF");
    }

    /** Exposure 39 03 manual and 00 auto, iris 4B, 4 nibbles; a preset is stored under 7. */
    @ParameterizedTest
    @CsvSource({
        // stored by hand: it comes back, and not while an automatic holds it
        "03, 03, 12",
        "03, 00, 5",
        // an automatic had set it when it was stored
        "00, 03, 5",
    })
    void theIrisComesBackWhenNoAutomaticSetIt(String stored, String recalled, int iris) {
        say("81 01 04 39 03 FF");
        say("81 01 04 4B 00 00 00 0C FF");
        say("81 01 04 39 " + stored + " FF");
        say("81 01 04 3F 01 07 FF");
        say("81 01 04 39 03 FF");
        say("81 01 04 4B 00 00 00 05 FF");
        say("81 01 04 39 " + recalled + " FF");
        say("81 01 04 3F 02 07 FF");
        pass(5);
        assertThat(bank.value("iris")).hasValue(iris);
    }

    @Test
    void aNewerMotionCancelsAndACancelStops() {
        say("81 01 06 02 18 14 00 09 00 00 00 00 00 00 FF");
        pass(0.1);
        assertThat(say("81 01 06 04 FF")).containsExactly("90 61 04 FF", "90 41 FF");
        assertThat(say("81 01 06 01 05 05 02 03 FF"))
                .containsExactly("90 61 04 FF", "90 41 FF", "90 51 FF");
        say("81 01 06 04 FF");
        pass(0.01);
        assertThat(say("81 21 FF")).containsExactly("90 61 04 FF");
        pass(1);
        double there = head.state().pan();
        pass(5);
        assertThat(head.state().pan()).isEqualTo(there);
        assertThat(say("81 21 FF")).containsExactly("90 61 05 FF");
    }

    @Test
    void inStandbyItTakesNothingButPower() {
        say("81 01 04 00 03 FF");
        assertThat(say("81 01 06 04 FF")).containsExactly("90 60 41 FF");
        assertThat(say("81 01 04 35 00 FF")).containsExactly("90 60 41 FF");
        assertThat(say("81 09 04 00 FF")).containsExactly("90 50 03 FF");
        say("81 01 04 00 02 FF");
        assertThat(say("81 01 06 04 FF")).containsExactly("90 41 FF");
    }

    @ParameterizedTest
    @CsvSource({
        "81 01 04 43 00 00 0A 05 FF, 90 60 41 FF",
        "81 01 04 08 02 FF, 90 60 41 FF",
        "81 01 7E 05 10 0F FF, 90 60 02 FF",
        "88 30 01 FF, 90 60 02 FF"
    })
    void whatItCannotDoItRefuses(String hex, String answer) {
        assertThat(say(hex)).containsExactly(answer);
    }

    /** A motor that runs until it is told to stop, and one that goes to a place. */
    @Test
    void theFocusRunsAndArrives() {
        say("81 01 04 38 03 FF");
        say("81 01 04 08 27 FF");
        pass(0.5);
        say("81 01 04 08 00 FF");
        pass(0);
        int there = bank.value("focus").orElseThrow();
        assertThat(there).isBetween(0x2000, 0xA000);
        pass(5);
        assertThat(bank.value("focus")).hasValue(there);
        assertThat(say("81 01 04 48 05 00 00 00 FF")).containsExactly("90 42 FF");
        assertThat(pass(5)).containsExactly("90 52 FF");
        assertThat(say("81 09 04 48 FF")).containsExactly("90 50 05 00 00 00 FF");
    }

    @Test
    void itGoesNoFurtherThanItsLimits() {
        say("81 01 06 07 00 01 00 00 09 00 00 00 04 08 FF");
        say("81 01 06 01 18 14 02 01 FF");
        pass(20);
        assertThat(head.state().pan()).isEqualTo(0x90 / facts.countsPerDegree());
        assertThat(head.state().tilt()).isEqualTo(0x48 / facts.countsPerDegree());
        say("81 01 06 07 01 01 07 0F 0F 0F 07 0F 0F 0F FF");
        pass(20);
        assertThat(head.state().pan()).isEqualTo(facts.panRightDegrees());
    }

    /** It gathers speed and loses it: v x v / 2a beyond where it was let go. */
    @Test
    void itCoastsAsFarAsItsAccelerationSays() {
        say("81 01 06 01 18 14 02 03 FF");
        pass(1);
        double released = head.state().pan();
        say("81 01 06 01 18 14 03 03 FF");
        pass(3);
        double v = facts.pan().fastest();
        double way = v * v / 2 / facts.acceleration().orElseThrow();
        assertThat(head.state().pan() - released).isCloseTo(way, within(0.3));
    }

    /** Whatever comes, it stays within its end stops, and every acknowledged move ends once. */
    @Test
    void everyAcknowledgedMoveEndsOnce() {
        Random random = new Random(4);
        String[] moves = {
            "81 01 06 02 18 14 0%x 0%x 00 00 00 0%x 00 00 FF",
            "81 01 06 03 18 14 00 0%x 0%x 00 00 00 0%x 00 FF",
            "81 01 04 47 0%x 0%x 00 0%x FF",
            "81 01 04 3F 01 0%x FF",
            "81 01 04 3F 02 0%x FF",
            "81 01 06 04 FF",
            "81 01 04 07 2%x FF",
            "81 22 FF"
        };
        int acknowledged = 0;
        int ended = 0;
        for (int i = 0; i < 20_000; i++) {
            String hex =
                    String.format(
                            moves[random.nextInt(moves.length)],
                            random.nextInt(8),
                            random.nextInt(8),
                            random.nextInt(8));
            List<String> all = new ArrayList<>(say(hex));
            all.addAll(pass(random.nextDouble()));
            acknowledged += (int) all.stream().filter(r -> r.matches("90 4[12] FF")).count();
            ended += (int) all.stream().filter(r -> r.matches("90 (5[12]|6[12] 04) FF")).count();
            assertThat(head.state().pan())
                    .isBetween(facts.panLeftDegrees(), facts.panRightDegrees());
            assertThat(head.state().zoom()).isBetween(0.0, 1.0);
        }
        ended += pass(1_000).size();
        assertThat(acknowledged).isGreaterThan(5_000).isEqualTo(ended);
    }
}
