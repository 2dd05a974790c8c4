package app.jerboa.core.job.cabling.drawing;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Severity;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A job's cabling from the top down: each network switch with its ports, then pictures, serial
 * lines, DC and the rest as strands. Every run is drawn once, but for runs between two switches,
 * which both of them show.
 */
public final class CablingDrawing {
    private CablingDrawing() {}

    /**
     * @param findings of the job that are not waived: a run that one names is marked
     */
    public static Drawing of(Job job, Collection<Finding> findings) {
        Cabling cabling = Cabling.of(job);
        PowerPlan power = PowerPlan.of(cabling);
        Words words = new Words(job, power, marks(findings), wrongFormat(findings));
        Sheet sheet = new Sheet();
        Set<Link> drawn = new HashSet<>();
        PortRows rows = new PortRows(sheet, cabling, power, words, drawn);
        job.devices().stream()
                .filter(d -> d.profile().kind() == DeviceKind.NETWORK_SWITCH)
                .forEach(rows::draw);
        Strands strands = new Strands(sheet, words, drawn);
        strands.draw("Pictures", Strand.pictures(cabling));
        List<ChainOrBus> serial = ChainOrBus.all(cabling);
        strands.draw("Chains, OUT to IN", Strand.serial(serial, Signal.RS_232));
        strands.draw("Buses", Strand.serial(serial, Signal.RS_485));
        strands.draw("RS-422", Strand.serial(serial, Signal.RS_422));
        strands.draw("DC", Strand.each(cabling, l -> l.signal() == Signal.DC));
        strands.draw("Other runs", Strand.each(cabling, l -> !drawn.contains(l)));
        return sheet.done();
    }

    private static Set<DeviceId> wrongFormat(Collection<Finding> findings) {
        return findings.stream()
                .filter(f -> f.code().code().equals("VID-FORMAT"))
                .map(f -> f.devices().get(0))
                .collect(Collectors.toSet());
    }

    private static Map<Long, Severity> marks(Collection<Finding> findings) {
        Map<Long, Severity> marks = new HashMap<>();
        for (Finding f : findings) {
            String run = f.facts().get(Finding.RUN);
            if (run != null && f.code().severity() != Severity.NOTE) {
                marks.merge(
                        Long.valueOf(run),
                        f.code().severity(),
                        (a, b) -> a.compareTo(b) <= 0 ? a : b);
            }
        }
        return marks;
    }
}
