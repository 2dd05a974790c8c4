package app.jerboa.core.job.cabling.drawing;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.drawing.Shape.Kind;
import app.jerboa.core.job.cabling.drawing.Shape.Tone;
import java.util.List;
import java.util.Set;

/** Strands under a heading, each in a row of its own; a long one goes on in the next row. */
final class Strands {
    private static final int A_ROW = 2;
    private static final double BOX = 150;
    private static final double HEIGHT = 36;
    private static final double WIRE = 155;
    private static final int LONGEST_NAME = 21;
    private static final int LONGEST_LABEL = 25;

    private final Sheet sheet;
    private final Words words;
    private final Set<Link> drawn;

    Strands(Sheet sheet, Words words, Set<Link> drawn) {
        this.sheet = sheet;
        this.words = words;
        this.drawn = drawn;
    }

    void draw(String heading, List<Strand> strands) {
        if (!strands.isEmpty()) {
            sheet.heading(heading);
            strands.forEach(this::strand);
        }
    }

    private void strand(Strand strand) {
        double top = sheet.y();
        Device at = null;
        int column = 0;
        for (Link link : strand.links()) {
            Device from = from(link, at);
            if (column == A_ROW || !from.equals(at) || at == null) {
                if (at != null) {
                    top += HEIGHT + 14;
                }
                column = 0;
                station(from, link, 0, top);
            }
            double x = column * (BOX + WIRE);
            Device to = link.beyond(from.id()).device();
            wire(link, x + BOX, top);
            station(to, link, x + BOX + WIRE, top);
            drawn.add(link);
            at = to;
            column++;
        }
        sheet.down(top - sheet.y() + HEIGHT + 14);
    }

    /** The end that the strand comes from. */
    private static Device from(Link link, Device at) {
        boolean on = at != null && (link.from().of(at.id()) || link.to().of(at.id()));
        return on ? at : link.giver().device();
    }

    private void station(Device d, Link link, double x, double top) {
        long id = d.id().value();
        sheet.box(Kind.BOX, x, top, BOX, HEIGHT, Tone.PLAIN, 0, id);
        sheet.text(x + 8, top + 15, Sheet.fit(d.name(), LONGEST_NAME), Tone.STRONG, 0, id);
        String under = Sheet.fit(words.under(d, link.signal()), LONGEST_NAME);
        sheet.text(x + 8, top + 30, under, Tone.QUIET, 0, id);
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
