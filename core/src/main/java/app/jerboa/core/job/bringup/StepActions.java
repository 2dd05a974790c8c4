package app.jerboa.core.job.bringup;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** What is done in each step of a job's bring-up, and the steps that are no matter of addresses. */
public final class StepActions {
    private final Hall hall;
    private final ReachActions reach;
    private final AskSteps asking;

    public StepActions(Hall hall) {
        this(hall, Optional.empty());
    }

    /**
     * @param ownPort the serial port of the laptop that serial leads go to; empty for none
     */
    public StepActions(Hall hall, Optional<String> ownPort) {
        this.hall = hall;
        this.reach = new ReachActions(hall);
        this.asking = new AskSteps(hall, ownPort);
    }

    /** The things to do in a step, in their order; none for hops. */
    public List<Action> of(Step step) {
        return step.device().map(hall::device).map(d -> of(step.kind(), d)).orElse(List.of());
    }

    private List<Action> of(Step.Kind kind, Device d) {
        return switch (kind) {
            case REACH -> reach.of(d);
            case PLUG, PLUG_OFF, PORT -> NetworkActions.plug(hall, d);
            case SEE -> NetworkActions.see(d);
            case RESET -> NetworkActions.reset(d);
            case UPDATE -> NetworkActions.update(hall, d);
            case LEASE -> NetworkActions.lease();
            case SEARCH -> NetworkActions.search(d);
            case PAIR -> NetworkActions.pair(d);
            case SET -> NetworkActions.set(hall, d);
            case LABEL -> NetworkActions.label(hall, d);
            case VERIFY -> NetworkActions.verify(d);
            case ENTER -> EntryActions.of(hall, d);
            case JOIN -> JoinActions.of(hall, d);
            case LEAD_OUT -> asking.out(d);
            case ASK -> asking.ask(d);
            case LEAD_HOME -> asking.home(d);
            case STREAM -> JoinActions.stream(hall, d);
            case HOP_OUT, ALIAS, HOP_HOME, RESTART -> List.of();
        };
    }

    public Set<Caution> cautions(Step step) {
        return step.device()
                .map(d -> Cautions.of(step.kind(), hall.device(d), hall.cabling()))
                .orElse(Set.of());
    }

    /**
     * The whole run sheet: what is set while it is within reach, then the addresses, then the
     * connections, what is asked over leads, controllers and the stream, which need all that to be
     * there.
     *
     * @param network the steps of those that are not put aside
     * @param aside devices that are put aside: they are not set, asked or filled
     */
    public List<Step> around(List<Step> network, LaptopAddress home, Set<DeviceId> aside) {
        UnaryOperator<List<DeviceId>> left =
                devices -> devices.stream().filter(d -> !aside.contains(d)).toList();
        List<Step> all = new ArrayList<>(steps(Step.Kind.REACH, left.apply(reach.order()), home));
        all.addAll(network);
        all.addAll(steps(Step.Kind.JOIN, left.apply(JoinActions.order(hall)), home));
        all.addAll(asking.all(aside, home));
        all.addAll(steps(Step.Kind.ENTER, left.apply(EntryActions.order(hall)), home));
        all.addAll(steps(Step.Kind.STREAM, left.apply(JoinActions.streaming(hall)), home));
        return all;
    }

    private static List<Step> steps(Step.Kind kind, List<DeviceId> devices, LaptopAddress home) {
        return devices.stream().map(d -> new Step(kind, Optional.of(d), home)).toList();
    }

    /** Devices that hang or stand higher than a hand reaches. */
    public static List<DeviceId> outOfReach(Hall hall, Stream<DeviceId> devices) {
        KitIndex kit = hall.cabling().kit();
        return devices.filter(d -> kit.mount(d).filter(m -> high(m.place())).isPresent()).toList();
    }

    private static boolean high(String place) {
        return Set.of("ceiling", "truss", "wall", "pole").contains(place);
    }
}
