package app.jerboa.server.cabling;

import app.jerboa.core.job.cabling.materials.Cut;
import app.jerboa.core.job.cabling.materials.Material;
import app.jerboa.core.job.cabling.materials.Materials;
import app.jerboa.server.platform.Spreadsheet;
import java.util.Arrays;
import java.util.List;

/** Materials and cut list for a spreadsheet. */
final class MaterialsSheet {
    private static final List<String> LIST =
            List.of("material", "unit", "needed", "spare", "total", "price each", "cost");
    private static final List<String> CUTS =
            List.of("material", "reel", "length in m", "label", "from", "to");

    private MaterialsSheet() {}

    static String csv(Materials materials) {
        return Spreadsheet.csv(list(materials), cuts(materials));
    }

    static byte[] xlsx(Materials materials) {
        return Spreadsheet.xlsx(list(materials), cuts(materials));
    }

    private static Spreadsheet list(Materials materials) {
        return new Spreadsheet(
                "Materials", LIST, materials.list().stream().map(MaterialsSheet::row).toList());
    }

    private static List<Object> row(Material m) {
        boolean priced = m.each().isPresent();
        return Arrays.asList(
                m.name(),
                m.unit(),
                m.needed(),
                m.spare(),
                m.total(),
                priced ? m.each().getAsInt() / 100.0 : null,
                priced ? m.cost() / 100.0 : null);
    }

    private static Spreadsheet cuts(Materials materials) {
        return new Spreadsheet(
                "Cuts", CUTS, materials.cuts().stream().map(MaterialsSheet::row).toList());
    }

    private static List<Object> row(Cut c) {
        return Arrays.asList(
                c.material(),
                c.reel() > 0 ? (Object) c.reel() : null,
                c.metres(),
                c.label(),
                c.from(),
                c.to());
    }
}
