package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.job.Job;
import java.util.List;
import java.util.function.Function;

/** Every rule about runs; a new one is one more line here. */
public final class CablingChecks {
    private static final List<Function<CablingPlan, List<Finding>>> ALL =
            List.of(
                    PortCheck::of,
                    EndsCheck::of,
                    OpenCheck::of,
                    PoeBudgetCheck::of,
                    PoeRunCheck::of,
                    PoeNoneCheck::of,
                    DcCheck::of,
                    SerialSettingCheck::of,
                    SerialLeadCheck::of,
                    BusCheck::of,
                    PictureCheck::of,
                    UsbCheck::of,
                    StreamCheck::of);

    private CablingChecks() {}

    /** Nothing before the first run is there. */
    public static List<Finding> check(Job job) {
        if (job.runs().isEmpty()) {
            return List.of();
        }
        CablingPlan plan = CablingPlan.of(job);
        return ALL.stream().flatMap(c -> c.apply(plan).stream()).toList();
    }
}
