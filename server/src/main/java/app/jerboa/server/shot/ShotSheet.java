package app.jerboa.server.shot;

import app.jerboa.server.platform.PdfTable;
import app.jerboa.server.platform.Spreadsheet;
import app.jerboa.server.shot.ShotBodies.ShotListBody;
import app.jerboa.server.shot.ShotBodies.TakeBody;
import app.jerboa.server.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** A shot list that leaves the house: for a spreadsheet, and on paper. */
final class ShotSheet {
    private static final List<String> HEAD =
            List.of(
                    "take",
                    "start (s)",
                    "shortest length (s)",
                    "camera",
                    "preset in the camera",
                    "preset by its key",
                    "preset name",
                    "subject",
                    "cue",
                    "way needs (s)",
                    "has (s)",
                    "missing (s)");

    private static final List<PdfTable.Column> COLUMNS =
            List.of(
                    new PdfTable.Column("Take", 34),
                    new PdfTable.Column("Start", 52),
                    new PdfTable.Column("Length", 52),
                    new PdfTable.Column("Camera", 90),
                    new PdfTable.Column("Preset", 130),
                    new PdfTable.Column("Subject", 140),
                    new PdfTable.Column("Cue", 160),
                    new PdfTable.Column("Way", 110));

    private ShotSheet() {}

    static String csv(ShotListBody list) {
        return Spreadsheet.csv(
                new Spreadsheet(
                        "Shot list", HEAD, list.takes().stream().map(ShotSheet::row).toList()));
    }

    private static List<Object> row(TakeBody t) {
        return Arrays.asList(
                t.number(),
                t.start(),
                t.length(),
                t.camera(),
                t.preset().orElse(null),
                t.called(),
                t.presetName(),
                t.subject(),
                t.cue(),
                t.way().map(ShotBodies.WayBody::needed).orElse(null),
                t.way().map(ShotBodies.WayBody::free).orElse(null),
                t.way().flatMap(ShotBodies.WayBody::late).orElse(null));
    }

    /** On A4 across. */
    static byte[] pdf(String job, ShotListBody list) {
        return PdfTable.of(
                list.name() + " – " + job,
                List.of(
                        new PdfTable.Table(
                                "",
                                COLUMNS,
                                list.takes().stream().map(ShotSheet::printed).toList())));
    }

    /** Minutes and seconds: {@code 1:07.5}. */
    static String clock(double seconds) {
        long tenths = Math.round(seconds * 10);
        return String.format(
                Locale.ROOT, "%d:%02d.%d", tenths / 600, tenths / 10 % 60, tenths % 10);
    }

    private static List<String> printed(TakeBody t) {
        return List.of(
                Integer.toString(t.number()),
                clock(t.start()),
                String.format(Locale.ROOT, "%.1f s", t.length()),
                t.camera(),
                preset(t),
                t.subject(),
                t.cue(),
                way(t));
    }

    private static String preset(TakeBody t) {
        return t.preset().map(p -> (called(t) + " " + t.presetName()).strip()).orElse("by hand");
    }

    /** What its key says; where it has none, what the camera calls it. */
    private static String called(TakeBody t) {
        return t.called().isEmpty()
                ? Words.say(
                        "preset.no-key", Map.of("number", Integer.toString(t.preset().orElse(0))))
                : t.called();
    }

    private static String way(TakeBody t) {
        return t.way()
                .map(
                        w ->
                                w.late()
                                        .map(
                                                l ->
                                                        Words.say(
                                                                "shot.way-late",
                                                                Map.of("late", one(l))))
                                        .orElseGet(() -> one(w.needed()) + " s"))
                .orElse("");
    }

    private static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
