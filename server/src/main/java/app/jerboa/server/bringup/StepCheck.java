package app.jerboa.server.bringup;

import app.jerboa.core.bringup.LaptopAddress;
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
        if (step.kind() == Step.Kind.HOP_OUT || step.kind() == Step.Kind.HOP_HOME) {
            return laptop(stored, step.laptop());
        }
        Device device = stored.job().device(step.device().orElseThrow()).orElseThrow();
        Ipv4 factory = device.profile().factory().orElseThrow().address();
        return switch (step.kind()) {
            case PLUG -> Result.told("Connected, by hand");
            case SET -> Result.told(planned(device) + " typed in and saved, by hand");
            case SEE -> answers(stored, device, factory, "its factory address");
            case RESTART -> restarted(stored, step, device, factory);
            case VERIFY -> answers(stored, device, planned(device), "its planned address");
            case HOP_OUT, HOP_HOME -> throw new IllegalStateException("hops are checked above");
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

    private Result laptop(Jobs.Stored stored, LaptopAddress wanted) {
        world.furnish(stored);
        RigBodies.Network laptop = rig.hall(stored.id()).laptop();
        String actual = laptop.address() + "/" + laptop.prefix();
        return actual.equals(wanted.toString())
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

    /** From the factory subnet: its old address is silent. From home: its new one answers. */
    private Result restarted(Jobs.Stored stored, Step step, Device device, Ipv4 factory) {
        if (!step.laptop().subnet().contains(factory)) {
            return answers(stored, device, planned(device), "its planned address");
        }
        RigBodies.Reach reach = world.reach(stored, factory);
        if (!reach.onLink()) {
            return elsewhere(stored, factory);
        }
        return reach.answering().isEmpty()
                ? Result.asked("Nobody is left at " + factory + ": the next may come")
                : Result.notYet(
                        reach.answering().get(0).name() + " still answers at " + factory,
                        "Its new address was not saved. Type it in again and save, then check again.");
    }
}
