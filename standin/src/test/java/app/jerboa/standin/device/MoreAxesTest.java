package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.profile.Axis;
import app.jerboa.core.profile.Head;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.wire.link.session.AxisFrames;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaReply;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Roll and rail of a stand-in: by their frames, within their ends, gathering speed and losing it.
 */
class MoreAxesTest {
    private static final Head ROLLS = head("cinema-head");
    private static final Head RUNS = head("motion-controller");

    private Instant now = Instant.EPOCH;

    private static Head head(String profile) {
        return ShippedProfiles.read(profile).orElseThrow().head().orElseThrow();
    }

    private static Octets body(Axis axis, int step) {
        int value = axis.steps().orElseThrow() + step;
        return Octets.of(0x01, 0x7E, axis.equals(ROLLS.roll().orElseThrow()) ? 0x60 : 0x61)
                .plus(Octets.of(value >> 4, value & 15));
    }

    private void pass(double seconds) {
        now = now.plusMillis(Math.round(seconds * 1_000));
    }

    /** Half a second to its speed and half a second from it. */
    @ParameterizedTest
    @CsvSource({"24, 45", "-24, -45", "1, 0.1"})
    void rollGoesAtTheSpeedOfItsStep(int step, double perSecond) {
        Axis roll = ROLLS.roll().orElseThrow();
        MoreAxes axes = new MoreAxes(ROLLS, now);
        assertThat(axes.hear(body(roll, step), now)).isPresent();
        pass(1);
        double first = axes.places(now).get("roll");
        pass(0.25);
        assertThat((axes.places(now).get("roll") - first) / 0.25)
                .isCloseTo(perSecond, within(Math.abs(perSecond) / 50));
        axes.hear(body(roll, 0), now);
        pass(1);
        assertThat(axes.moving(now)).isFalse();
        double stands = axes.places(now).get("roll");
        pass(5);
        assertThat(axes.places(now).get("roll")).isEqualTo(stands);
    }

    @ParameterizedTest
    @CsvSource({"24, 6", "-24, 0"})
    void aRailEndsAtItsEnds(int step, double end) {
        Axis rail = RUNS.rail().orElseThrow();
        MoreAxes axes = new MoreAxes(RUNS, now);
        axes.hear(body(rail, step), now);
        pass(60);
        assertThat(axes.places(now)).containsOnlyKeys("rail");
        assertThat(axes.places(now).get("rail")).isEqualTo(end);
    }

    /** It says where it is in counts, by the answer of its profile. */
    @Test
    void itIsAskedWhereItIs() {
        Axis rail = RUNS.rail().orElseThrow();
        MoreAxes axes = new MoreAxes(RUNS, now);
        axes.hear(body(rail, 24), now);
        pass(2);
        double metres = axes.places(now).get("rail");
        Octets ask = Octets.of(0x09, 0x7E, 0x61);
        ViscaReply said = axes.hear(ask, now).orElseThrow().get(0);
        AxisFrames.Asked asked =
                AxisFrames.of(24, rail.drive(), rail.ask(), rail.answer()).asked().orElseThrow();
        assertThat(asked.read(((ViscaReply.Answer) said).payload()).orElseThrow() / 5_000.0)
                .isCloseTo(metres, within(0.001));
    }

    @Test
    void whatItDoesNotHaveItDoesNotHear() {
        MoreAxes none = new MoreAxes(head("ceiling-ptz"), now);
        assertThat(none.hear(body(RUNS.rail().orElseThrow(), 5), now)).isEmpty();
        assertThat(none.places(now)).isEmpty();
        assertThat(none.moving(now)).isFalse();
    }
}
