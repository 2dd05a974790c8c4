package app.jerboa.server.cabling;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.JoinRules;
import app.jerboa.core.job.cabling.Joining;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PoeBudget;
import app.jerboa.core.job.cabling.PowerChoices;
import app.jerboa.core.job.cabling.PowerOver;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.cabling.Refusal;
import app.jerboa.core.job.cabling.drawing.CableWords;
import app.jerboa.core.job.cabling.drawing.CablingDrawing;
import app.jerboa.core.job.cabling.drawing.Drawing;
import app.jerboa.core.job.cabling.drawing.Shape;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Lengths;
import app.jerboa.server.cabling.CablingBodies.BudgetBody;
import app.jerboa.server.cabling.CablingBodies.CablingBody;
import app.jerboa.server.cabling.CablingBodies.ChoiceBody;
import app.jerboa.server.cabling.CablingBodies.DrawingBody;
import app.jerboa.server.cabling.CablingBodies.EndBody;
import app.jerboa.server.cabling.CablingBodies.JoinBody;
import app.jerboa.server.cabling.CablingBodies.RunBody;
import app.jerboa.server.cabling.CablingBodies.RunRow;
import app.jerboa.server.cabling.CablingBodies.ShapeBody;
import app.jerboa.server.cabling.CablingBodies.SocketBody;
import app.jerboa.server.findings.Checks;
import app.jerboa.server.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/** Turns a job's cabling into what its page shows. */
final class CablingViews {
    /** Settings of a device that depend on its leads. */
    private static final List<Field> SERIAL =
            List.of(Field.BAUD, Field.FRAMING, Field.SERIAL_PROTOCOL);

    private final Job job;
    private final Cabling cabling;

    CablingViews(Job job) {
        this.job = job;
        cabling = Cabling.of(job);
    }

    CablingBody page() {
        PowerPlan power = PowerPlan.of(cabling);
        return new CablingBody(
                body(drawing(job)),
                job.runs().stream().map(this::row).toList(),
                PoeBudget.all(power).stream().map(CablingViews::budget).toList());
    }

    static Drawing drawing(Job job) {
        List<Finding> open =
                Checks.of(job).stream()
                        .filter(j -> j.waiver().isEmpty())
                        .map(JobFindings.Judged::finding)
                        .toList();
        return CablingDrawing.of(job, open);
    }

    private static DrawingBody body(Drawing drawing) {
        return new DrawingBody(
                drawing.width(),
                drawing.height(),
                drawing.shapes().stream().map(CablingViews::shape).toList());
    }

    private static ShapeBody shape(Shape s) {
        return new ShapeBody(
                s.kind().name().toLowerCase(Locale.ROOT),
                s.x(),
                s.y(),
                s.w(),
                s.h(),
                s.text(),
                s.tone().name().toLowerCase(Locale.ROOT),
                some(s.run()),
                some(s.device()));
    }

    /** A shape stands for item 0 when it stands for none. */
    private static Optional<Long> some(long id) {
        return id == 0 ? Optional.empty() : Optional.of(id);
    }

    private static OptionalInt usualGauge(Cable cable) {
        return cable.powers() ? OptionalInt.of(cable.usualGauge()) : OptionalInt.empty();
    }

    private RunRow row(Run run) {
        return new RunRow(
                run.id(),
                name(run.from()),
                name(run.to()),
                CableWords.of(run.cable()),
                run.wire() > 0 ? "AWG " + run.wire() : "",
                Lengths.text(run.metres()),
                run.label(),
                run.laid(),
                Optional.ofNullable(cabling.refused().get(run))
                        .map(why -> Words.say(JoinRules.reason(run, why)))
                        .orElse(""));
    }

    private String name(Run.End end) {
        return cabling.kit().device(end.device()).name() + " " + end.port();
    }

    private static BudgetBody budget(PoeBudget b) {
        return new BudgetBody(
                b.source().id().value(),
                b.source().name(),
                b.budgetWatts(),
                b.allowedWatts(),
                b.movingWatts(),
                b.idleWatts(),
                b.reservedWatts(),
                names(b.refused()),
                names(b.shed()));
    }

    private static List<String> names(List<Feed> feeds) {
        return feeds.stream().map(f -> f.load().name()).toList();
    }

    RunBody run(Run run) {
        Optional<Link> link = cabling.links().stream().filter(l -> l.run().equals(run)).findFirst();
        Optional<Feed> feed = PowerPlan.of(cabling).over(run);
        return new RunBody(
                run.id(),
                end(run.from(), run.to()),
                end(run.to(), run.from()),
                link.map(Link::signal).map(Signal::toString).orElse(""),
                texts(run),
                run.cable().gauges(),
                usualGauge(run.cable()),
                link.map(Link::signal).map(Signal::cables).orElse(List.of()).stream()
                        .map(Cable::toString)
                        .toList(),
                feed.filter(f -> f.over() == PowerOver.DC).map(Feed::volts),
                RunSums.of(job, run.id(), OptionalDouble.empty()),
                feed.map(this::otherwise).orElse(List.of()));
    }

    private static Map<String, String> texts(Run run) {
        Map<String, String> texts = new LinkedHashMap<>();
        for (Field f : ItemKind.RUN.fields()) {
            texts.put(f.wire(), JobItems.text(run, f));
        }
        return texts;
    }

    private EndBody end(Run.End end, Run.End other) {
        Device device = cabling.kit().device(end.device());
        Optional<DeviceSocket> across =
                DeviceSocket.find(cabling.kit().device(other.device()).profile(), other.port());
        List<String> free =
                cabling.free(end.device())
                        .map(Link.Plug::socket)
                        .filter(
                                s ->
                                        across.filter(a -> Joining.refusal(s, a).isEmpty())
                                                .isPresent())
                        .map(DeviceSocket::name)
                        .filter(n -> !n.equals(end.port()))
                        .toList();
        boolean serial =
                DeviceSocket.find(device.profile(), end.port())
                        .filter(s -> s.signal().serial())
                        .isPresent();
        Map<String, String> settings = new LinkedHashMap<>();
        if (serial) {
            SERIAL.forEach(f -> settings.put(f.wire(), JobItems.text(device, f)));
            settings.put(Field.TERMINATOR.wire(), JobItems.text(device, Field.TERMINATOR));
            settings.put(Field.IR_OFF.wire(), JobItems.text(device, Field.IR_OFF));
        }
        if (device.profile().video().filter(v -> !v.codecs().isEmpty()).isPresent()) {
            settings.put(Field.VIEWERS.wire(), JobItems.text(device, Field.VIEWERS));
            settings.put(Field.STREAM_RATE.wire(), JobItems.text(device, Field.STREAM_RATE));
        }
        return new EndBody(
                device.id().value(),
                device.name(),
                end.port(),
                Stream.concat(Stream.of(end.port()), free.stream()).toList(),
                settings);
    }

    private List<ChoiceBody> otherwise(Feed feed) {
        return PowerChoices.of(PowerPlan.of(cabling), feed).stream()
                .map(CablingViews::choice)
                .toList();
    }

    private static ChoiceBody choice(PowerChoices.Choice c) {
        String what =
                c.source()
                        .map(Device::name)
                        .orElse(
                                Words.say(
                                        "fed.own", Map.of("volts", Figures.number(c.volts(), 1))));
        String figure =
                c.source().isEmpty()
                        ? Words.say("fed.none")
                        : Words.say(
                                c.hours() > 0 ? "fed.from-hours" : "fed.from",
                                Map.of(
                                        "volts", Figures.volts(c.volts()),
                                        "watts", Figures.watts(c.spareWatts()),
                                        "hours", Figures.number(c.hours(), 1)));
        return new ChoiceBody(what, figure, c.works());
    }

    /** Those that runs are joined at; none for a device that is not there. */
    List<SocketBody> sockets(DeviceId id) {
        Device device = cabling.kit().device(id);
        return device == null
                ? List.of()
                : DeviceSocket.of(device.profile()).stream()
                        .filter(s -> s.signal() != Signal.NONE)
                        .map(s -> new SocketBody(s.name(), cabling.free(new Link.Plug(device, s))))
                        .toList();
    }

    /** Every other socket of the kit that carries the same, or would be mistaken for it. */
    List<JoinBody> joins(DeviceId device, String port) {
        Device from = cabling.kit().device(device);
        Optional<DeviceSocket> socket =
                Optional.ofNullable(from).flatMap(d -> DeviceSocket.find(d.profile(), port));
        if (socket.isEmpty()) {
            return List.of();
        }
        Link.Plug start = new Link.Plug(from, socket.get());
        return job.devices().stream()
                .flatMap(d -> DeviceSocket.of(d.profile()).stream().map(s -> new Link.Plug(d, s)))
                .filter(p -> !p.equals(start) && near(start.socket(), p.socket()))
                .map(p -> join(start, p))
                .toList();
    }

    private static boolean near(DeviceSocket one, DeviceSocket other) {
        return Joining.refusal(one, other).filter(r -> r == Refusal.KIND).isEmpty();
    }

    private JoinBody join(Link.Plug start, Link.Plug p) {
        Optional<Refusal> why =
                Joining.refusal(start.socket(), p.socket())
                        .or(
                                () ->
                                        cabling.free(p) && cabling.free(start)
                                                ? Optional.empty()
                                                : Optional.of(Refusal.TWICE));
        Run asIf =
                new Run(
                        0,
                        new Run.End(start.device().id(), start.socket().name(), ""),
                        new Run.End(p.device().id(), p.socket().name(), ""),
                        Cable.DATA,
                        OptionalInt.empty(),
                        false,
                        1,
                        0,
                        true,
                        "",
                        "indoor",
                        Set.of());
        return new JoinBody(
                p.device().id().value(),
                p.device().name(),
                p.socket().name(),
                why.map(w -> Words.say(JoinRules.reason(asIf, w))).orElse(""),
                p.socket().signal().cables().stream().map(Cable::toString).toList());
    }
}
