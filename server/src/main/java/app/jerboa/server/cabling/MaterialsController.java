package app.jerboa.server.cabling;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.Price;
import app.jerboa.core.job.cabling.materials.Cut;
import app.jerboa.core.job.cabling.materials.Material;
import app.jerboa.core.job.cabling.materials.Materials;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Spreadsheet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the cabling is made of, to be cut, packed and bought. */
@RestController
@RequestMapping("/api/jobs/{job}/cabling")
class MaterialsController {
    /**
     * The lists.
     *
     * @param cost in hundredths, of what has a price
     * @param unpriced lines without one
     */
    record MaterialsBody(List<MaterialBody> list, List<CutBody> cuts, long cost, long unpriced) {}

    /**
     * One line; amounts in its unit.
     *
     * @param price id of its price, if it has one
     * @param each hundredths for one unit, where it has a price
     */
    record MaterialBody(
            String name,
            String unit,
            double needed,
            double spare,
            double total,
            Optional<Long> price,
            OptionalInt each,
            long cost) {}

    /** One cut; no reel where it is longer than a reel. */
    record CutBody(
            String material,
            long run,
            String from,
            String to,
            String label,
            double metres,
            OptionalInt reel) {}

    private final Jobs jobs;

    MaterialsController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping("/materials")
    MaterialsBody materials(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        Map<String, Long> prices = new HashMap<>();
        for (Price p : job.prices()) {
            prices.put(p.material(), p.id());
        }
        Materials materials = Materials.of(job);
        return new MaterialsBody(
                materials.list().stream().map(m -> body(m, prices)).toList(),
                materials.cuts().stream().map(MaterialsController::body).toList(),
                materials.cost(),
                materials.unpriced());
    }

    private static MaterialBody body(Material m, Map<String, Long> prices) {
        return new MaterialBody(
                m.name(),
                m.unit(),
                m.needed(),
                m.spare(),
                m.total(),
                Optional.ofNullable(prices.get(m.name())),
                m.each(),
                m.cost());
    }

    private static CutBody body(Cut c) {
        return new CutBody(
                c.material(),
                c.run(),
                c.from(),
                c.to(),
                c.label(),
                c.metres(),
                c.reel() == 0 ? OptionalInt.empty() : OptionalInt.of(c.reel()));
    }

    @GetMapping(value = "/materials.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(@PathVariable("job") long id) {
        Materials materials = Materials.of(jobs.load(id).job());
        return Download.text("text/csv", "materials.csv", MaterialsSheet.csv(materials));
    }

    @GetMapping(value = "/materials.xlsx", produces = Spreadsheet.XLSX)
    ResponseEntity<byte[]> xlsx(@PathVariable("job") long id) {
        Materials materials = Materials.of(jobs.load(id).job());
        return Download.of(Spreadsheet.XLSX, "materials.xlsx", MaterialsSheet.xlsx(materials));
    }
}
