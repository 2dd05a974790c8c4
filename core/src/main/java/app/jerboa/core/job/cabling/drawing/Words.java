package app.jerboa.core.job.cabling.drawing;

import app.jerboa.core.finding.Severity;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PictureReach;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.cabling.drawing.Shape.Tone;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What is written beside runs and on devices, in the job's units. */
final class Words {
    private static final double METRES_PER_FOOT = 0.3048;

    private final Job job;
    private final PowerPlan power;
    private final Map<Long, Severity> marks;
    private final Set<DeviceId> wrongFormat;
    private final boolean feet;

    /**
     * @param wrongFormat devices that are set to another format than the job's, with nothing
     *     between
     */
    Words(Job job, PowerPlan power, Map<Long, Severity> marks, Set<DeviceId> wrongFormat) {
        this.job = job;
        this.power = power;
        this.marks = marks;
        this.wrongFormat = wrongFormat;
        feet = job.site().units().equals("ft");
    }

    String length(double metres) {
        return feet ? number(metres / METRES_PER_FOOT) + " ft" : number(metres) + " m";
    }

    private static String number(double value) {
        return value == Math.rint(value)
                ? String.format(Locale.ROOT, "%.0f", value)
                : String.format(Locale.ROOT, "%.1f", value);
    }

    static String watts(double watts) {
        return String.format(Locale.ROOT, "%.1f W", watts);
    }

    static String volts(double volts) {
        return String.format(Locale.ROOT, "%.1f V", volts);
    }

    Optional<Feed> feed(Link link) {
        return power.over(link.run());
    }

    Tone tone(Link link) {
        Severity mark = marks.get(link.run().id());
        if (mark == null) {
            return Tone.PLAIN;
        }
        return mark == Severity.STOP ? Tone.STOP : Tone.WARN;
    }

    /** A trouble is a mark and never only a colour. */
    String marked(Link link, String text) {
        return switch (tone(link)) {
            case STOP -> "▲ " + text;
            case WARN -> "! " + text;
            default -> text;
        };
    }

    /** Cable and length. */
    String cable(Link link) {
        Run run = link.run();
        String gauge = run.wire() > 0 ? " AWG " + run.wire() : "";
        return CableWords.of(run.cable()) + gauge + " · " + length(run.metres());
    }

    /** From socket to socket. */
    static String sockets(Link link) {
        return link.source().socket().name() + " → " + link.load().socket().name();
    }

    /** What matters of a run: volts that arrive, else how far a picture reaches. */
    String verdict(Link link) {
        Optional<Feed> feed = feed(link);
        if (feed.isPresent()) {
            return feed.get().most().isPresent()
                    ? volts(feed.get().volts()) + " → " + volts(feed.get().deviceVolts())
                    : volts(feed.get().volts()) + " → none";
        }
        return PictureReach.of(job, link)
                .map(r -> "reaches " + length(Math.floor(r.longestMetres() * 10) / 10))
                .orElse("");
    }

    /** Under a device's name: its socket, and what matters there. */
    String under(Link.Plug plug, Signal signal) {
        Device d = plug.device();
        if (signal.serial()) {
            String id =
                    power.cabling()
                            .line(d.id())
                            .map(Line::controlId)
                            .map(i -> "ID " + i)
                            .orElse("");
            String end = d.asSet().terminator() && signal == Signal.RS_485 ? "120 Ω on" : "";
            return joined(id, end);
        } else if (signal == Signal.DC) {
            return joined(
                    plug.socket().name(), power.to(d.id()).map(f -> watts(f.watts())).orElse(""));
        }
        return joined(plug.socket().name(), format(d));
    }

    private String format(Device d) {
        boolean wrong = wrongFormat.contains(d.id());
        return wrong ? "▲ " + d.format() : d.format();
    }

    private static String joined(String one, String other) {
        return one.isEmpty() || other.isEmpty() ? one + other : one + " · " + other;
    }

    /** Of a device that its own setting stops. */
    Tone underTone(Device d, Signal signal) {
        boolean picture = !signal.serial() && signal != Signal.DC;
        return picture && wrongFormat.contains(d.id()) ? Tone.STOP : Tone.QUIET;
    }
}
