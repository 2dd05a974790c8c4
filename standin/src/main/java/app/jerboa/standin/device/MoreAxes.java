package app.jerboa.standin.device;

import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.profile.Axis;
import app.jerboa.core.profile.Head;
import app.jerboa.wire.link.session.AxisFrames;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaReply;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a head turns or runs beside pan and tilt, by the frames of its profile. Whoever holds the
 * head's lock calls it.
 */
final class MoreAxes {
    private static final int SOCKET = 1;

    /** Seconds until it is as fast as it gets. */
    private static final double GATHERS_SECONDS = 0.5;

    private final Map<String, Running> axes = new LinkedHashMap<>();

    /** One of them, true at {@code asOf}. */
    private static final class Running {
        final Axis facts;
        final SpeedScale speeds;
        final AxisFrames frames;
        AxisRun run = new AxisRun(0, 0);
        double wanted;
        Instant asOf;

        Running(Axis facts, SpeedScale speeds, Instant now) {
            this.facts = facts;
            this.speeds = speeds;
            this.frames = AxisFrames.of(speeds.steps(), facts.drive(), facts.ask(), facts.answer());
            this.asOf = now;
        }

        AxisRun at(Instant now) {
            double seconds = Math.max(0, Duration.between(asOf, now).toNanos() / 1e9);
            asOf = now;
            run =
                    run.after(seconds, speeds.fastest() / GATHERS_SECONDS, false, wanted, 0)
                            .within(facts.from(), facts.to());
            return run;
        }

        void drive(int step, Instant now) {
            at(now);
            wanted = Math.copySign(speeds.at(Math.abs(step)), step);
        }

        Octets answer(AxisFrames.Asked asked, Instant now) {
            double counts = at(now).place() * facts.countsPerUnit().orElse(1);
            return asked.fill((int) Math.round(counts));
        }
    }

    MoreAxes(Head head, Instant now) {
        head.roll().ifPresent(a -> add("roll", a, now));
        head.rail().ifPresent(a -> add("rail", a, now));
    }

    private void add(String name, Axis axis, Instant now) {
        axis.speeds().ifPresent(s -> axes.put(name, new Running(axis, s, now)));
    }

    /** The replies to octets that drive or ask one of them; empty for other octets. */
    Optional<List<ViscaReply>> hear(Octets body, Instant now) {
        for (Running axis : axes.values()) {
            OptionalInt step = axis.frames.step(body);
            if (step.isPresent()) {
                axis.drive(step.getAsInt(), now);
                return Optional.of(
                        List.of(new ViscaReply.Ack(SOCKET), new ViscaReply.Completed(SOCKET)));
            }
            Optional<AxisFrames.Asked> asked =
                    axis.frames.asked().filter(a -> a.ask().read(body).isPresent());
            if (asked.isPresent()) {
                return Optional.of(List.of(new ViscaReply.Answer(axis.answer(asked.get(), now))));
            }
        }
        return Optional.empty();
    }

    /** One of them moves, or was told to. */
    boolean moving(Instant now) {
        for (Running axis : axes.values()) {
            if (axis.wanted != 0 || axis.at(now).rate() != 0) {
                return true;
            }
        }
        return false;
    }

    /** Degrees or metres, by name. */
    Map<String, Double> places(Instant now) {
        Map<String, Double> all = new LinkedHashMap<>();
        axes.forEach((name, axis) -> all.put(name, axis.at(now).place()));
        return all;
    }
}
