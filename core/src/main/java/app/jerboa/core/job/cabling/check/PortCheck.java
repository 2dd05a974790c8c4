package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Joining;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.Refusal;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.value.Kebab;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Runs that cannot be: a socket that is not there, is taken, or is for something else. */
final class PortCheck {
    private PortCheck() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> found = new ArrayList<>();
        plan.cabling().refused().forEach((run, why) -> found.add(finding(plan, run, why)));
        return found;
    }

    private static Finding finding(CablingPlan plan, Run run, Refusal why) {
        Map<String, String> facts =
                Map.of(
                        "from",
                        plan.device(run.from()).name() + " " + run.from().port(),
                        "to",
                        plan.device(run.to()).name() + " " + run.to().port(),
                        "cable",
                        run.cable().toString(),
                        "what",
                        Kebab.of(why),
                        Finding.AT,
                        run.to().port());
        return Finding.of(
                        code(why),
                        List.of(run.to().device(), run.from().device()),
                        Field.TO_PORT,
                        facts)
                .withFixes(fixes(plan, run, why));
    }

    static FindingCode code(Refusal why) {
        return switch (why) {
            case TWICE -> CablingCodes.TWICE;
            case CONSOLE -> CablingCodes.CONSOLE;
            case SERIAL_INTO_NETWORK, SERIAL_DIRECTION -> CablingCodes.DIRECTION;
            case NO_PORT, SELF, DIRECTION, KIND, CABLE -> CablingCodes.KIND;
        };
    }

    private static List<Fix> fixes(CablingPlan plan, Run run, Refusal why) {
        if (why == Refusal.CABLE) {
            DeviceSocket socket =
                    DeviceSocket.find(plan.device(run.to()).profile(), run.to().port())
                            .orElseThrow();
            String usual = socket.signal().cables().get(0).toString();
            return List.of(
                    Fix.editing("cable", List.of(CablingPlan.edit(run, Field.CABLE, usual))));
        }
        Optional<Edit> moved =
                other(plan, run, run.from(), run.to(), Field.TO_PORT)
                        .or(() -> other(plan, run, run.to(), run.from(), Field.FROM_PORT));
        return moved.map(e -> List.of(Fix.editing("free-port", List.of(e))))
                .orElse(List.of(Fix.removing("remove-run", JobItems.item(run))));
    }

    /** A free socket of the same device that the other end can be joined with. */
    private static Optional<Edit> other(
            CablingPlan plan, Run run, Run.End kept, Run.End moved, Field field) {
        Optional<DeviceSocket> socket = DeviceSocket.find(plan.device(kept).profile(), kept.port());
        Optional<Link.Plug> keptPlug = socket.map(s -> new Link.Plug(plan.device(kept), s));
        if (keptPlug.filter(plan.cabling()::free).isEmpty()) {
            return Optional.empty();
        }
        return plan.cabling()
                .free(moved.device())
                .filter(p -> Joining.refusal(socket.get(), p.socket(), run.cable()).isEmpty())
                .filter(p -> !p.equals(keptPlug.get()))
                .findFirst()
                .map(p -> CablingPlan.edit(run, field, p.socket().name()));
    }
}
