package app.jerboa.core.job.cabling.drawing;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PoeBudget;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.cabling.drawing.Shape.Kind;
import app.jerboa.core.job.cabling.drawing.Shape.Tone;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Signal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A network switch as rows of ports; under each port what hangs on it. */
final class PortRows {
    private static final int A_ROW = 12;
    private static final double COLUMN = 83.5;
    private static final double BOX = 58;
    private static final double LINE = 14;
    private static final int LONGEST_NAME = 13;

    private final Sheet sheet;
    private final Cabling cabling;
    private final PowerPlan power;
    private final Words words;
    private final Set<Link> drawn;

    PortRows(Sheet sheet, Cabling cabling, PowerPlan power, Words words, Set<Link> drawn) {
        this.sheet = sheet;
        this.cabling = cabling;
        this.power = power;
        this.words = words;
        this.drawn = drawn;
    }

    void draw(Device d) {
        sheet.heading(d.name());
        PoeBudget.of(power, d).ifPresent(this::load);
        Map<String, Link> at = new HashMap<>();
        cabling.at(d.id(), Signal.NETWORK).forEach(l -> at.put(l.at(d.id()).socket().name(), l));
        List<DeviceSocket> ports =
                DeviceSocket.of(d.profile()).stream()
                        .filter(s -> s.join() == Join.ETHERNET)
                        .toList();
        for (int first = 0; first < ports.size(); first += A_ROW) {
            row(d, ports.subList(first, Math.min(ports.size(), first + A_ROW)), at);
        }
    }

    private void load(PoeBudget b) {
        Tone tone = b.over() ? Tone.STOP : b.tight() ? Tone.WARN : Tone.PLAIN;
        sheet.bar(0, sheet.y() - 4, b.movingWatts() / b.budgetWatts(), tone);
        String text =
                Words.watts(b.movingWatts())
                        + " of "
                        + Words.watts(b.budgetWatts())
                        + " with all moving · "
                        + Words.watts(b.idleWatts())
                        + " at rest · "
                        + Words.watts(b.reservedWatts())
                        + " by class";
        String mark = b.over() ? "▲ " : b.tight() ? "! " : "";
        sheet.text(Shape.BAR + 12, sheet.y() + 4, mark + text, tone, 0, b.source().id().value());
        sheet.down(14);
    }

    private void row(Device d, List<DeviceSocket> ports, Map<String, Link> at) {
        double top = sheet.y();
        double deepest = 0;
        for (int i = 0; i < ports.size(); i++) {
            DeviceSocket port = ports.get(i);
            Link link = at.get(port.name());
            deepest = Math.max(deepest, port(d, port, link, i * COLUMN, top));
        }
        sheet.down(deepest + 14);
    }

    /** Returns how deep it goes. */
    private double port(Device d, DeviceSocket port, Link link, double x, double top) {
        double middle = x + COLUMN / 2;
        if (link == null) {
            sheet.box(Kind.EMPTY, middle - BOX / 2, top, BOX, 20, Tone.QUIET, 0, 0);
            sheet.middle(middle, top + 14, name(port), Tone.QUIET, 0, 0);
            return 20;
        }
        drawn.add(link);
        long run = link.run().id();
        Device far = link.beyond(d.id()).device();
        Tone tone = words.tone(link);
        sheet.box(Kind.SOCKET, middle - BOX / 2, top, BOX, 20, tone, run, 0);
        sheet.middle(middle, top + 14, name(port), tone, run, 0);
        sheet.line(middle, top + 20, 0, 14, tone, run);
        double y = top + 34 - 2;
        Tone strong = tone == Tone.PLAIN ? Tone.STRONG : tone;
        for (String part : Sheet.broken(words.marked(link, far.name()), LONGEST_NAME)) {
            y += LINE;
            sheet.middle(middle, y, part, strong, run, far.id().value());
        }
        y += LINE;
        sheet.middle(middle, y, words.length(link.run().metres()), Tone.PLAIN, run, 0);
        Optional<Feed> feed = words.feed(link).filter(f -> f.load().equals(far));
        if (feed.isPresent()) {
            String watts = Words.watts(feed.get().givenWatts());
            sheet.middle(middle, y + LINE, watts, Tone.QUIET, run, 0);
            String volts = Words.volts(feed.get().deviceVolts());
            sheet.middle(middle, y + 2 * LINE, volts, Tone.QUIET, run, 0);
            y += 2 * LINE;
        }
        return y - top + 4;
    }

    /** Ports of the usual sort by their number, others by their name. */
    private static String name(DeviceSocket port) {
        boolean usual = port.port().count() > 2;
        return usual ? Integer.toString(port.number()) : Sheet.fit(shortened(port), 7);
    }

    private static String shortened(DeviceSocket port) {
        return port.name().startsWith("UPLINK") ? "UP " + port.number() : port.name();
    }
}
