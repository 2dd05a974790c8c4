package app.jerboa.core.job.cabling.drawing;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.drawing.Shape.Kind;
import app.jerboa.core.job.cabling.drawing.Shape.Tone;
import java.util.List;
import java.util.Set;

/**
 * Strands under a heading. Those of one run stand two in a row; a longer one has rows of its own
 * and goes on in the next.
 */
final class Strands {
    private static final int A_ROW = 3;
    private static final double BOX = 142;
    private static final double HEIGHT = 36;
    private static final double WIRE = 143;
    private static final double ROW = HEIGHT + 14;
    private static final double SECOND = Sheet.WIDTH - 2 * BOX - WIRE;
    private static final int LONGEST_NAME = 20;
    private static final int LONGEST_LABEL = 23;

    private final Sheet sheet;
    private final Words words;
    private final Set<Link> drawn;

    Strands(Sheet sheet, Words words, Set<Link> drawn) {
        this.sheet = sheet;
        this.words = words;
        this.drawn = drawn;
    }

    void draw(String heading, List<Strand> strands) {
        if (strands.isEmpty()) {
            return;
        }
        sheet.heading(heading);
        boolean half = false;
        for (Strand strand : strands) {
            boolean small = strand.links().size() == 1;
            if (half && !small) {
                sheet.down(ROW);
                half = false;
            }
            if (small) {
                strand(strand, half ? SECOND : 0);
                sheet.down(half ? ROW : 0);
                half = !half;
            } else {
                sheet.down(strand(strand, 0));
            }
        }
        sheet.down(half ? ROW : 0);
    }

    /** Returns how far down it goes. */
    private double strand(Strand strand, double left) {
        double top = sheet.y();
        Device at = null;
        int column = 0;
        for (Link link : strand.links()) {
            Device from = from(link, at);
            if (column == A_ROW || !from.equals(at)) {
                top += at == null ? 0 : ROW;
                column = 0;
                station(link.at(from.id()), link, left, top);
            }
            double x = left + column * (BOX + WIRE);
            wire(link, x + BOX, top);
            Link.Plug to = link.beyond(from.id());
            station(to, link, x + BOX + WIRE, top);
            drawn.add(link);
            at = to.device();
            column++;
        }
        return top - sheet.y() + ROW;
    }

    /** The end that the strand comes from. */
    private static Device from(Link link, Device at) {
        boolean on = at != null && (link.from().of(at.id()) || link.to().of(at.id()));
        return on ? at : link.source().device();
    }

    private void station(Link.Plug plug, Link link, double x, double top) {
        Device d = plug.device();
        long id = d.id().value();
        sheet.box(Kind.BOX, x, top, BOX, HEIGHT, Tone.PLAIN, 0, id);
        sheet.text(x + 8, top + 15, Sheet.fit(d.name(), LONGEST_NAME), Tone.STRONG, 0, id);
        String under = Sheet.fit(words.under(plug, link.signal()), LONGEST_NAME);
        sheet.text(x + 8, top + 30, under, words.underTone(d, link.signal()), 0, id);
    }

    private void wire(Link link, double x, double top) {
        long run = link.run().id();
        Tone tone = words.tone(link);
        double middle = x + WIRE / 2;
        sheet.line(x, top + HEIGHT / 2, WIRE, 0, tone, run);
        String cable = Sheet.fit(words.marked(link, words.cable(link)), LONGEST_LABEL);
        sheet.middle(middle, top + 12, cable, tone, run, 0);
        String verdict = words.verdict(link);
        String below = verdict.isEmpty() ? Words.sockets(link) : verdict;
        sheet.middle(middle, top + 32, Sheet.fit(below, LONGEST_LABEL), Tone.QUIET, run, 0);
    }
}
