package app.jerboa.core.job.bringup;

import static app.jerboa.core.job.bringup.Action.Kind.ASK_NUMBER;
import static app.jerboa.core.job.bringup.Action.Kind.ASK_THROUGH;
import static app.jerboa.core.job.bringup.Action.Kind.INTO_PORT;
import static app.jerboa.core.job.bringup.Action.Kind.OUT_OF_PORT;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.desk.LeadMove;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Cameras that no address of their own verifies, and that can answer: each is asked over its
 * control route, and a lead that must be on the serial server or the laptop for that goes there
 * before and home afterwards.
 */
final class AskSteps {
    private final Hall hall;
    private final DeskWays ways;

    /**
     * @param ownPort the serial port of the laptop that leads go to; empty for none
     */
    AskSteps(Hall hall, Optional<String> ownPort) {
        this.hall = hall;
        this.ways = DeskWays.of(hall.job()).from(ownPort);
    }

    /**
     * In line order, those of one lead together, as it passes them.
     *
     * @param aside devices that are not asked
     */
    List<Step> all(Set<DeviceId> aside, LaptopAddress home) {
        List<Step> steps = new ArrayList<>();
        Set<DeviceId> seen = new HashSet<>();
        for (Line line : hall.job().lines()) {
            List<Device> together = together(hall.device(line.camera()));
            together.removeIf(d -> !seen.add(d.id()));
            steps.addAll(of(together, aside, home));
        }
        return steps;
    }

    /** Of one lead, or a camera behind its bridge; none for what is verified at its address. */
    private List<Device> together(Device camera) {
        List<Device> together = new ArrayList<>();
        DeskWay way = ways.told(camera);
        if (way instanceof DeskWay.OverLine it) {
            it.line().cameras().stream().filter(d -> answers(it.line(), d)).forEach(together::add);
        } else if (way instanceof DeskWay.OverNetwork it && !it.at().id().equals(camera.id())) {
            together.add(camera);
        }
        return together;
    }

    private boolean answers(ChainOrBus lead, Device d) {
        return ways.told(d) instanceof DeskWay.OverLine it && it.tells() && it.line().equals(lead);
    }

    /** A lead is called by its first camera, even when that one is put aside. */
    private List<Step> of(List<Device> together, Set<DeviceId> aside, LaptopAddress home) {
        List<Step> steps = new ArrayList<>();
        together.stream()
                .filter(d -> !aside.contains(d.id()))
                .forEach(d -> steps.add(step(Step.Kind.ASK, d, home)));
        if (!steps.isEmpty() && move(together.get(0)).isPresent()) {
            steps.add(0, step(Step.Kind.LEAD_OUT, together.get(0), home));
            steps.add(step(Step.Kind.LEAD_HOME, together.get(0), home));
        }
        return steps;
    }

    private static Step step(Step.Kind kind, Device d, LaptopAddress home) {
        return new Step(kind, Optional.of(d.id()), home);
    }

    private Optional<LeadMove> move(Device camera) {
        return LeadMove.of(ways.told(camera));
    }

    List<Action> out(Device camera) {
        return move(camera)
                .map(m -> taken(m.planned().toString(), m.meanwhile()))
                .orElse(List.of());
    }

    List<Action> home(Device camera) {
        return move(camera)
                .map(m -> taken(m.meanwhile(), m.planned().toString()))
                .orElse(List.of());
    }

    private static List<Action> taken(String from, String to) {
        return List.of(Action.of(OUT_OF_PORT, from), Action.of(INTO_PORT, to));
    }

    List<Action> ask(Device camera) {
        return ways.told(camera)
                .match(
                        new DeskWay.Cases<>() {
                            @Override
                            public List<Action> overNetwork(DeskWay.OverNetwork it) {
                                return List.of(
                                        Action.of(ASK_THROUGH, it.address().toString())
                                                .with("at", it.at().name()));
                            }

                            @Override
                            public List<Action> overLine(DeskWay.OverLine it) {
                                return List.of(
                                        Action.of(ASK_NUMBER, Integer.toString(it.number()))
                                                .with("server", it.from().name())
                                                .with("baud", Integer.toString(it.rate().baud())));
                            }

                            @Override
                            public List<Action> none(DeskWay.None it) {
                                return List.of();
                            }
                        });
    }
}
