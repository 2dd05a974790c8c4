package app.jerboa.standin.lan;

import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.serial.SerialReach;
import java.util.Optional;

/** What is wrong with a lead as it lies, whether the plan says so already or nobody knows. */
final class TrueFault {
    /** Of a network channel of copper, by TIA-568. */
    private static final double CHANNEL_METRES = 100;

    private TrueFault() {}

    static Optional<RunFault> of(Link link, Lead lead) {
        return lead.fault().or(() -> planned(link));
    }

    private static Optional<RunFault> planned(Link link) {
        Run run = link.run();
        if (differ(run)) {
            boolean poles = run.from().pins().startsWith("first-to");
            return Optional.of(poles ? RunFault.CROSSED : RunFault.MIS_PINNED);
        }
        boolean decoder = link.source().device().profile().sort() == Sort.DECODER;
        if (link.signal().serial() && decoder && !run.subscribedBothWays()) {
            return Optional.of(run.subscribed().isEmpty() ? RunFault.BROKEN : RunFault.ONE_WAY);
        }
        return run.metres() > reach(link.signal(), run.cable())
                ? Optional.of(link.signal().serial() ? RunFault.NOISY : RunFault.BROKEN)
                : Optional.empty();
    }

    private static boolean differ(Run run) {
        String from = run.from().pins();
        String to = run.to().pins();
        return !from.isEmpty() && !to.isEmpty() && !from.equals(to);
    }

    private static double reach(Signal signal, Cable cable) {
        return switch (signal) {
            case NETWORK -> cable == Cable.DATA ? CHANNEL_METRES : Double.MAX_VALUE;
            case RS_232 -> SerialReach.rs232Likely();
            case RS_422 -> SerialReach.RS_422;
            case RS_485 -> SerialReach.RS_485;
            default -> Double.MAX_VALUE;
        };
    }
}
