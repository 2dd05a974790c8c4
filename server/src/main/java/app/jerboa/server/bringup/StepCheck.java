package app.jerboa.server.bringup;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.world.RigBodies;
import app.jerboa.server.world.RigClient;
import app.jerboa.server.world.World;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.link.session.ViscaLink;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Finds out whether a step is really done: by asking the devices, never by believing the click. */
@Component
class StepCheck {
    private static final int PATIENCE_SECONDS = 2;

    /** What a check brought. Evidence asked, seen or told. */
    record Result(boolean done, String evidence, String saw, String next) {
        static Result asked(String saw) {
            return new Result(true, "asked", saw, "");
        }

        static Result told(String saw) {
            return new Result(true, "told", saw, "");
        }

        static Result notYet(String saw, String next) {
            return new Result(false, "", saw, next);
        }
    }

    private final World world;
    private final RigClient rig;

    StepCheck(World world, RigClient rig) {
        this.world = world;
        this.rig = rig;
    }

    Result check(Jobs.Stored stored, Step step) {
        if (step.device().isEmpty()) {
            return rig.configured()
                    ? laptop(stored, step)
                    : Result.told("The laptop was set to " + step.laptop());
        }
        Device device = stored.job().device(step.device().get()).orElseThrow();
        return byHand(step, device).orElseGet(() -> ask(stored, step, device));
    }

    /** What only a person can tell. */
    private static Optional<Result> byHand(Step step, Device device) {
        return switch (step.kind()) {
            case PLUG -> Optional.of(Result.told("Connected, by hand"));
            case PLUG_OFF -> Optional.of(Result.told("Connected to a port that is off, by hand"));
            case PORT -> Optional.of(Result.told("Port switched on, by hand"));
            case RESET -> Optional.of(Result.told("Reset, by hand"));
            case UPDATE -> Optional.of(Result.told("Newer firmware loaded, by hand"));
            case LEASE -> Optional.of(Result.told("Switched to a lease, by hand"));
            case SET -> Optional.of(Result.told(planned(device) + " typed in and saved, by hand"));
            case REACH, LABEL, ENTER, JOIN, STREAM ->
                    Optional.of(Result.told("Done by hand, as listed"));
            case SEE, RESTART, VERIFY, HOP_OUT, ALIAS, HOP_HOME -> Optional.empty();
        };
    }

    private Result ask(Jobs.Stored stored, Step step, Device device) {
        if (!rig.configured() || !World.simulated(device)) {
            return Result.told(
                    step.kind() == Step.Kind.VERIFY
                            ? device.name() + " is at " + planned(device) + ", by hand"
                            : "Seen by hand");
        }
        Ipv4 start = device.found().orElse(device.profile().factory().orElseThrow().address());
        return switch (step.kind()) {
            case SEE -> answers(stored, device, start, "the address it starts on");
            case RESTART -> restarted(stored, device, start);
            default -> answers(stored, device, planned(device), "its planned address");
        };
    }

    static Ipv4 planned(Device device) {
        return device.address()
                .orElseThrow(
                        () ->
                                new Problem(
                                        HttpStatus.CONFLICT,
                                        "no-planned-address",
                                        device.name()
                                                + " has no planned address any more. Give it one on the Addresses page; the bring-up waits here."));
    }

    private Result laptop(Jobs.Stored stored, Step step) {
        world.furnish(stored);
        RigBodies.Hall hall = rig.hall(stored.id());
        String wanted = step.laptop().toString();
        String actual = World.text(hall.laptop());
        if (step.kind() == Step.Kind.ALIAS) {
            return hall.also().stream().map(World::text).anyMatch(wanted::equals)
                    ? Result.asked("The laptop has " + wanted + " beside " + actual)
                    : Result.notYet(
                            "The laptop is on " + actual + " and has no " + wanted,
                            "Add " + wanted + " to it, then check again.");
        }
        return actual.equals(wanted)
                ? Result.asked("The laptop is on " + actual)
                : Result.notYet(
                        "The laptop is on " + actual,
                        "Set it to " + wanted + ", then check again.");
    }

    private Result answers(Jobs.Stored stored, Device device, Ipv4 address, String what) {
        RigBodies.Reach reach = world.reach(stored, address);
        if (!reach.onLink()) {
            return elsewhere(stored, address);
        }
        if (reach.answering().isEmpty()) {
            return Result.notYet(
                    "Nobody answers at " + address,
                    "Look that "
                            + device.name()
                            + " is plugged in, its link light is on and its boot is over, then check again.");
        }
        if (reach.answering().size() > 1) {
            String names =
                    reach.answering().stream()
                            .map(RigBodies.Answering::name)
                            .collect(Collectors.joining(" and "));
            return Result.notYet(
                    names + " both answer at " + address + " and fight over it",
                    "Unplug all of them but " + device.name() + ", then check again.");
        }
        return ask(device, address, what, reach.answering().get(0));
    }

    private Result elsewhere(Jobs.Stored stored, Ipv4 address) {
        RigBodies.Network laptop = rig.hall(stored.id()).laptop();
        return Result.notYet(
                "The laptop is on " + laptop.address() + " and cannot see " + address,
                "Set the laptop's address as shown below, then check again.");
    }

    private Result ask(Device device, Ipv4 address, String what, RigBodies.Answering answering) {
        String mac = answering.mac().toLowerCase(Locale.ROOT);
        if (!device.mac().isEmpty() && !device.mac().equals(mac)) {
            return Result.notYet(
                    "The device at "
                            + address
                            + " has the MAC "
                            + mac
                            + ", not "
                            + device.mac()
                            + " as on the label of "
                            + device.name(),
                    "Another camera is connected. Swap it for "
                            + device.name()
                            + ", then check again.");
        }
        try (ViscaLink link = world.open(answering, Form.HEADER, new WireLog(16))) {
            Version version = await(link.askVersion());
            PanTilt at = await(link.askPanTilt(false));
            return Result.asked(
                    String.format(
                            Locale.ROOT,
                            "%s answers at %s, %s: MAC %s, model %04X, ROM %04X, pan %d, tilt %d counts",
                            device.name(),
                            address,
                            what,
                            mac,
                            version.model(),
                            version.rom(),
                            at.pan(),
                            at.tilt()));
        } catch (NoAnswer e) {
            return Result.notYet(
                    device.name()
                            + " is at "
                            + address
                            + " but does not speak VISCA: "
                            + e.getMessage(),
                    "Enable remote control in its menu, then check again.");
        }
    }

    private static <T> T await(CompletableFuture<T> answer) {
        try {
            return answer.get(PATIENCE_SECONDS, TimeUnit.SECONDS);
        } catch (ExecutionException e) {
            throw new NoAnswer(String.valueOf(e.getCause().getMessage()));
        } catch (TimeoutException e) {
            throw new NoAnswer("no answer within " + PATIENCE_SECONDS + " s");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new NoAnswer("the server is stopping");
        }
    }

    /**
     * From where its start can be seen: that address is silent. From home: its planned one answers.
     * From elsewhere the clock must do, until it is verified.
     */
    private Result restarted(Jobs.Stored stored, Device device, Ipv4 start) {
        RigBodies.Reach reach = world.reach(stored, start);
        if (!reach.onLink()) {
            Ipv4 lent = Ipv4.parse(rig.settings(stored.id(), device.id().value()).address());
            boolean leased = !lent.equals(start) && !lent.equals(planned(device));
            Ipv4 there = leased ? lent : planned(device);
            return world.reach(stored, there).onLink()
                    ? answers(stored, device, there, leased ? "its lease" : "its planned address")
                    : Result.told("Its boot time is over; it is verified from home");
        }
        return reach.answering().isEmpty()
                ? Result.asked("Nobody is left at " + start + ": the next may come")
                : Result.notYet(
                        reach.answering().get(0).name() + " still answers at " + start,
                        "Its new address was not saved. Type it in again and save, then check again.");
    }
}
