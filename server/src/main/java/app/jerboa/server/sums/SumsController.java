package app.jerboa.server.sums;

import static app.jerboa.server.sums.SumCheck.impossible;
import static app.jerboa.server.sums.SumCheck.insist;

import app.jerboa.core.job.mount.Balance;
import app.jerboa.core.motion.StickLaw;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.net.SubnetSum;
import app.jerboa.core.value.TextRejected;
import app.jerboa.server.words.Words;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** {@code POST /api/sums/<name>}: numbers in and out, unrounded. */
@RestController
@RequestMapping("/api/sums")
class SumsController {
    private static final int MOST_STEPS = 65_535;
    private static final int MOST_PARTS = 100;

    record SubnetIn(String cidr) {}

    record SubnetOut(
            String network,
            String broadcast,
            String mask,
            String firstHost,
            String lastHost,
            long hosts) {}

    record StickIn(double x, double deadZone, double k, double limit, int steps) {}

    record StickOut(double y, int step) {}

    @PostMapping("/subnet")
    SubnetOut subnet(@RequestBody SubnetIn in) {
        try {
            SubnetSum sum = SubnetSum.of(Ipv4Subnet.parse(in.cidr()));
            return new SubnetOut(
                    sum.network().toString(),
                    sum.broadcast().toString(),
                    sum.mask().toString(),
                    sum.firstHost().toString(),
                    sum.lastHost().toString(),
                    sum.hosts());
        } catch (TextRejected e) {
            throw impossible("cidr", Words.say(e.reason()));
        }
    }

    /** One part on the slide; its centre of mass from the axis, towards the front. */
    record PartIn(double grams, double offsetMm) {}

    /** {@code travelMm} is either way. */
    record BalanceIn(List<PartIn> parts, double travelMm) {}

    record BalanceOut(double centreMm, double shiftMm, boolean withinTravel) {}

    @PostMapping("/balance")
    BalanceOut balance(@RequestBody BalanceIn in) {
        int count = in.parts().size();
        insist("parts", count >= 1 && count <= MOST_PARTS, "1 to " + MOST_PARTS + " parts");
        in.parts()
                .forEach(
                        p ->
                                insist(
                                        "grams",
                                        p.grams() > 0 && p.grams() <= 1e6,
                                        "above 0 to 1000000"));
        in.parts()
                .forEach(
                        p ->
                                insist(
                                        "offsetMm",
                                        Math.abs(p.offsetMm()) <= 1e5,
                                        "-100000 to 100000"));
        insist("travelMm", in.travelMm() >= 0 && in.travelMm() <= 1e5, "0 to 100000");
        Balance balance =
                Balance.of(
                        in.parts().stream()
                                .map(p -> new Balance.Part(p.grams(), p.offsetMm()))
                                .toList(),
                        in.travelMm());
        return new BalanceOut(balance.centreMm(), balance.shiftMm(), balance.withinTravel());
    }

    @PostMapping("/stick")
    StickOut stick(@RequestBody StickIn in) {
        insist("x", in.x() >= -1 && in.x() <= 1, "-1 to 1");
        insist("deadZone", in.deadZone() >= 0 && in.deadZone() < 1, "0 to below 1");
        insist("k", in.k() >= 0 && in.k() <= StickLaw.STEEPEST, "0 to 100");
        insist("limit", in.limit() > 0 && in.limit() <= 1, "above 0 to 1");
        insist("steps", in.steps() >= 1 && in.steps() <= MOST_STEPS, "1 to 65535");
        StickLaw law = new StickLaw(in.deadZone(), in.k(), in.limit());
        return new StickOut(law.speed(in.x()), law.step(in.x(), in.steps()));
    }
}
