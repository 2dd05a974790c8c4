package app.jerboa.server.cabling;

import app.jerboa.core.job.cabling.drawing.Drawing;
import app.jerboa.core.job.cabling.drawing.Shape;
import java.io.StringWriter;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** The drawing as SVG 1.1 for paper: ink on white, troubles by mark and weight. */
final class DrawingSvg {
    private static final double BORDER = 20;
    private static final double TITLE = 30;

    private final XMLStreamWriter out;

    private DrawingSvg(XMLStreamWriter out) {
        this.out = out;
    }

    static String of(Drawing drawing, String title) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter out = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
            new DrawingSvg(out).write(drawing, title);
            out.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return text.toString();
    }

    private void write(Drawing drawing, String title) throws XMLStreamException {
        double width = drawing.width() + 2 * BORDER;
        double height = drawing.height() + 2 * BORDER + TITLE;
        out.writeStartDocument();
        out.writeStartElement("svg");
        out.writeDefaultNamespace("http://www.w3.org/2000/svg");
        out.writeAttribute("viewBox", "0 0 " + number(width) + " " + number(height));
        out.writeAttribute("width", number(width));
        out.writeAttribute("height", number(height));
        out.writeAttribute("font-family", "Atkinson Hyperlegible Next, sans-serif");
        out.writeAttribute("font-size", "12");
        out.writeStartElement("title");
        out.writeCharacters(title + ": cabling");
        out.writeEndElement();
        rectangle(0, 0, width, height, "#ffffff", "none");
        text(BORDER, BORDER + 12, title + ": cabling", "start", Shape.Tone.HEADING);
        out.writeStartElement("g");
        out.writeAttribute(
                "transform", "translate(" + number(BORDER) + " " + number(BORDER + TITLE) + ")");
        for (Shape s : drawing.shapes()) {
            shape(s);
        }
        out.writeEndElement();
        out.writeEndElement();
        out.writeEndDocument();
    }

    private void shape(Shape s) throws XMLStreamException {
        switch (s.kind()) {
            case BOX, EMPTY -> rectangle(s.x(), s.y(), s.w(), s.h(), "none", "#23201b");
            case SOCKET -> rectangle(s.x(), s.y(), s.w(), s.h(), "#e7e0d2", "#23201b");
            case BAR -> {
                rectangle(s.x(), s.y(), Shape.BAR, s.h(), "none", "#23201b");
                rectangle(s.x(), s.y(), s.w(), s.h(), "#8a8378", "none");
            }
            case LINE -> line(s);
            case TEXT -> text(s.x(), s.y(), s.text(), "start", s.tone());
            case MIDDLE -> text(s.x(), s.y(), s.text(), "middle", s.tone());
        }
    }

    private void rectangle(double x, double y, double w, double h, String fill, String stroke)
            throws XMLStreamException {
        out.writeEmptyElement("rect");
        out.writeAttribute("x", number(x));
        out.writeAttribute("y", number(y));
        out.writeAttribute("width", number(w));
        out.writeAttribute("height", number(h));
        out.writeAttribute("rx", "3");
        out.writeAttribute("fill", fill);
        out.writeAttribute("stroke", stroke);
    }

    private void line(Shape s) throws XMLStreamException {
        out.writeEmptyElement("line");
        out.writeAttribute("x1", number(s.x()));
        out.writeAttribute("y1", number(s.y()));
        out.writeAttribute("x2", number(s.x() + s.w()));
        out.writeAttribute("y2", number(s.y() + s.h()));
        out.writeAttribute("stroke", "#23201b");
        out.writeAttribute("stroke-width", s.tone() == Shape.Tone.STOP ? "2.5" : "1.2");
    }

    private void text(double x, double y, String words, String anchor, Shape.Tone tone)
            throws XMLStreamException {
        out.writeStartElement("text");
        out.writeAttribute("x", number(x));
        out.writeAttribute("y", number(y));
        out.writeAttribute("text-anchor", anchor);
        if (tone == Shape.Tone.HEADING) {
            out.writeAttribute("font-size", "15");
        }
        if (tone != Shape.Tone.PLAIN && tone != Shape.Tone.QUIET) {
            out.writeAttribute("font-weight", "bold");
        }
        out.writeCharacters(words);
        out.writeEndElement();
    }

    private static String number(double value) {
        return value == Math.rint(value)
                ? Long.toString(Math.round(value))
                : String.format(Locale.ROOT, "%.2f", value);
    }
}
