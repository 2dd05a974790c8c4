package app.jerboa.server.bringup;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.TextRejected;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.PlannedAddress;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Laptop;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.World;
import app.jerboa.server.world.Worlds;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What the network shows of a step by itself. A device counts as the planned one by its MAC only,
 * one on a lead by its number there: its silence alone ticks nothing, since a lead may have been
 * pulled.
 */
@Component
class Watching {
    private final Worlds worlds;
    private final StepCheck checks;
    private final RouteCheck route;

    Watching(Worlds worlds, StepCheck checks, RouteCheck route) {
        this.worlds = worlds;
        this.checks = checks;
        this.route = route;
    }

    /** What is looked for, in words; empty when only a person can know. */
    Optional<String> sign(Jobs.Stored stored, Step step) {
        World world = worlds.of(stored.id());
        if (step.device().isEmpty()) {
            return world.laptop(stored)
                    .map(l -> Words.say("watch.laptop", Map.of("laptop", step.laptop())));
        }
        Device device = stored.job().device(step.device().get()).orElse(null);
        if (device != null && step.kind() == Step.Kind.ASK && route.can(stored, world, device)) {
            return Optional.of(Words.say("watch.route", Map.of("device", device.name())));
        }
        if (device == null || !world.canAsk(device)) {
            return Optional.empty();
        }
        Optional<Ipv4> start = start(device);
        boolean known = !device.mac().isEmpty();
        return switch (step.kind()) {
            case PLUG, PORT ->
                    start.filter(a -> known).map(a -> said("watch.there", device, a.toString()));
            case SET ->
                    known
                                    && reachedFromHere(stored, world, device)
                                    && !start.equals(device.address())
                            ? Optional.of(
                                    said(
                                            "watch.moved",
                                            device,
                                            PlannedAddress.of(device).toString()))
                            : Optional.empty();
            case SEE -> start.map(a -> said("watch.answers", device, a.toString()));
            case VERIFY ->
                    Optional.of(
                            said("watch.answers", device, PlannedAddress.of(device).toString()));
            case RESTART -> Optional.of(Words.say("watch.restart"));
            default -> Optional.empty();
        };
    }

    private static String said(String key, Device device, String address) {
        return Words.say(
                key, Map.of("device", device.name(), "address", address, "mac", device.mac()));
    }

    /**
     * What is seen of a step now; empty while it is not.
     *
     * @param waited the boot that it waits for is over by the clock
     */
    Optional<StepCheck.Result> see(Jobs.Stored stored, Step step, boolean waited) {
        if (sign(stored, step).isEmpty()) {
            return Optional.empty();
        }
        return switch (step.kind()) {
            case PLUG, PORT -> there(stored, step, start(device(stored, step)).orElseThrow());
            case SET -> there(stored, step, PlannedAddress.of(device(stored, step)));
            case RESTART ->
                    Optional.of(checks.check(stored, step))
                            .filter(StepCheck.Result::done)
                            .filter(r -> waited || asked(r));
            default -> Optional.of(checks.check(stored, step)).filter(r -> r.done() && asked(r));
        };
    }

    private static boolean asked(StepCheck.Result result) {
        return result.evidence().equals("asked");
    }

    /** It stands there, and nobody else does. */
    private Optional<StepCheck.Result> there(Jobs.Stored stored, Step step, Ipv4 address) {
        Device device = device(stored, step);
        return worlds.of(stored.id()).reach(stored, address) instanceof Reach.One one
                        && one.answering().mac().equals(device.mac())
                ? Optional.of(
                        StepCheck.Result.asked(
                                "stands",
                                Map.of(
                                        "device", device.name(),
                                        "address", address,
                                        "mac", device.mac())))
                : Optional.empty();
    }

    private static Device device(Jobs.Stored stored, Step step) {
        return stored.job().device(step.device().orElseThrow()).orElseThrow();
    }

    private static Optional<Ipv4> start(Device device) {
        return device.found().or(() -> device.profile().factory().map(FactoryAddress::address));
    }

    /** The laptop has an address in the subnet of the planned one. */
    private static boolean reachedFromHere(Jobs.Stored stored, World world, Device device) {
        Ipv4 planned = PlannedAddress.of(device);
        Optional<Laptop> laptop = world.laptop(stored);
        return laptop.stream()
                .flatMap(l -> Stream.concat(Stream.of(l.own()), l.also().stream()))
                .anyMatch(a -> holds(a, planned));
    }

    /** An address of this machine may have a prefix that no house network has. */
    private static boolean holds(String own, Ipv4 planned) {
        try {
            return Ipv4Subnet.parse(own).contains(planned);
        } catch (TextRejected e) {
            return false;
        }
    }
}
