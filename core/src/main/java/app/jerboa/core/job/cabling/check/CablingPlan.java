package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.Lengths;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** A job's cabling with what its checks look up again and again. */
record CablingPlan(Job job, Cabling cabling, PowerPlan power, List<ChainOrBus> serial) {
    static CablingPlan of(Job job) {
        Cabling cabling = Cabling.of(job);
        return new CablingPlan(job, cabling, PowerPlan.of(cabling), ChainOrBus.all(cabling));
    }

    /** About one run, named by its sockets; the taking device comes first. */
    Finding about(Link link, FindingCode code, Field field, Map<String, String> facts) {
        Map<String, String> all = new TreeMap<>(facts);
        all.put("from", link.source().toString());
        all.put("to", link.load().toString());
        all.put("device", link.load().device().name());
        all.put("metres", Lengths.text(link.run().metres()));
        all.put(Finding.RUN, Long.toString(link.run().id()));
        all.put(Finding.AT, link.load().socket().name());
        return Finding.of(
                code, List.of(link.load().device().id(), link.source().device().id()), field, all);
    }

    Device device(Run.End end) {
        return cabling.kit().device(end.device());
    }

    static Edit edit(Run run, Field field, String after) {
        return new Edit(run.ref(), field, JobItems.text(run, field), after);
    }

    static String one(double value) {
        return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP).toPlainString();
    }

    static String names(List<Device> devices) {
        return String.join(", ", devices.stream().map(Device::name).toList());
    }
}
