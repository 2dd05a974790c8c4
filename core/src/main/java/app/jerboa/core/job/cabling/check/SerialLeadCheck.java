package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.SerialRate;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.serial.SerialReach;
import app.jerboa.core.value.Lengths;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Hops of a chain, IDs in its order, updates for each camera, decoders subscribed both ways. */
final class SerialLeadCheck {
    /** A camera that hears of the stick less often feels late. */
    private static final double LEAST_UPDATES = 10;

    private final CablingPlan plan;
    private final List<Finding> found = new ArrayList<>();

    private SerialLeadCheck(CablingPlan plan) {
        this.plan = plan;
    }

    static List<Finding> of(CablingPlan plan) {
        SerialLeadCheck check = new SerialLeadCheck(plan);
        for (ChainOrBus line : plan.serial()) {
            line.links().forEach(l -> check.length(line, l));
            line.links().forEach(check::subscribed);
            check.order(line);
            check.rate(line);
        }
        return check.found;
    }

    private void length(ChainOrBus line, Link link) {
        Signal signal = line.signal();
        double metres = link.run().metres();
        double sure = signal == Signal.RS_232 ? SerialReach.RS_232_SURE : SerialReach.RS_422;
        double likely = signal == Signal.RS_232 ? SerialReach.rs232Likely() : SerialReach.RS_422;
        if (signal != Signal.RS_485 && metres > sure) {
            found.add(
                    plan.about(
                                    link,
                                    metres > likely
                                            ? CablingCodes.LENGTH
                                            : CablingCodes.LENGTH_LIKELY,
                                    Field.METRES,
                                    Map.of(
                                            "signal", signal.toString(),
                                            "sure", Lengths.text(sure),
                                            "likely", Lengths.text(likely)))
                            .withFixes(signal == Signal.RS_232 ? farther(line, link) : List.of()));
        }
    }

    private List<Fix> farther(ChainOrBus line, Link link) {
        return FartherFixes.of(plan, line, link);
    }

    private void subscribed(Link link) {
        boolean decoder = link.source().device().profile().sort() == Sort.DECODER;
        Device camera = link.load().device();
        boolean listens =
                camera.profile().answers(Protocol.INFRARED).isPresent() && !camera.asSet().irOff();
        if (!decoder || link.run().subscribedBothWays() && !listens) {
            return;
        }
        List<Edit> edits = new ArrayList<>();
        if (!link.run().subscribedBothWays()) {
            edits.add(CablingPlan.edit(link.run(), Field.SUBSCRIBED, "to-camera from-camera"));
        }
        if (listens) {
            edits.add(Edit.of(camera.id(), Field.IR_OFF, "false", "true"));
        }
        found.add(
                plan.about(
                                link,
                                CablingCodes.SUBSCRIBE,
                                Field.SUBSCRIBED,
                                Map.of("what", listens ? "listens" : "one-way"))
                        .withFixes(List.of(Fix.editing("subscribe", edits))));
    }

    /** A chain hands out its addresses in the order of its leads. */
    private void order(ChainOrBus line) {
        List<Line> lines =
                line.cameras().stream()
                        .map(c -> plan.cabling().line(c.id()))
                        .flatMap(Optional::stream)
                        .toList();
        List<Integer> ids = lines.stream().map(Line::controlId).toList();
        boolean distinct = ids.stream().distinct().count() == ids.size();
        boolean ordered = ids.equals(ids.stream().sorted().toList());
        if (line.signal() != Signal.RS_232 || lines.isEmpty() || !distinct || ordered) {
            return;
        }
        List<Edit> edits = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Line l = lines.get(i);
            String next = Integer.toString(i + 1);
            edits.add(
                    new Edit(l.ref(), Field.CONTROL_ID, JobItems.text(l, Field.CONTROL_ID), next));
        }
        edits.removeIf(e -> Objects.equals(e.before(), e.after()));
        found.add(
                Finding.of(
                                CablingCodes.ORDER,
                                line.cameras().stream().map(Device::id).toList(),
                                Field.CONTROL_ID,
                                Map.of(
                                        "devices", CablingPlan.names(line.cameras()),
                                        "ids", ids.toString().replaceAll("[\\[\\]]", "")))
                        .withFixes(List.of(Fix.editing("renumber", edits))));
    }

    private void rate(ChainOrBus line) {
        Optional<SerialRate> rate = SerialRate.of(line);
        if (rate.filter(r -> r.perCamera() < LEAST_UPDATES).isEmpty()) {
            return;
        }
        SerialRate now = rate.get();
        Finding finding =
                Finding.of(
                        CablingCodes.RATE,
                        line.cameras().stream().map(Device::id).toList(),
                        Field.BAUD,
                        Map.of(
                                "devices", CablingPlan.names(line.cameras()),
                                "baud", Integer.toString(now.baud()),
                                "each", CablingPlan.one(now.perCamera())));
        found.add(finding.withFixes(faster(line, now)));
    }

    /** The lowest baud that all can do and that is enough. */
    private static List<Fix> faster(ChainOrBus line, SerialRate now) {
        double times = LEAST_UPDATES / now.perCamera();
        return line.stations().get(0).profile().serial().stream()
                .flatMap(s -> s.bauds().stream())
                .sorted()
                .filter(b -> b >= now.baud() * times)
                .filter(b -> line.stations().stream().allMatch(d -> can(d, b)))
                .findFirst()
                .map(b -> Fix.editing("baud", set(line, b.toString())))
                .map(List::of)
                .orElse(List.of());
    }

    private static boolean can(Device d, int baud) {
        return d.profile().serial().filter(s -> s.bauds().contains(baud)).isPresent();
    }

    private static List<Edit> set(ChainOrBus line, String baud) {
        return line.stations().stream()
                .map(d -> Edit.of(d.id(), Field.BAUD, JobItems.text(d, Field.BAUD), baud))
                .filter(e -> !e.before().equals(e.after()))
                .toList();
    }
}
