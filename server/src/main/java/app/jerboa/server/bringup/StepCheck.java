package app.jerboa.server.bringup;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.PlannedAddress;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Laptop;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.World;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.stereotype.Component;

/** Finds out whether a step is really done: by asking the devices, never by believing the click. */
@Component
public class StepCheck {
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

    StepCheck(World world) {
        this.world = world;
    }

    Result check(Jobs.Stored stored, Step step) {
        if (step.device().isEmpty()) {
            return world.laptop(stored)
                    .map(laptop -> laptop(laptop, step))
                    .orElseGet(() -> Result.told("The laptop was set to " + step.laptop()));
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
            case SET ->
                    Optional.of(
                            Result.told(
                                    PlannedAddress.of(device) + " typed in and saved, by hand"));
            case REACH, LABEL, ENTER, JOIN, STREAM ->
                    Optional.of(Result.told("Done by hand, as listed"));
            case SEE, RESTART, VERIFY, HOP_OUT, ALIAS, HOP_HOME -> Optional.empty();
        };
    }

    private Result ask(Jobs.Stored stored, Step step, Device device) {
        if (!world.canAsk(device)) {
            return Result.told(
                    step.kind() == Step.Kind.VERIFY
                            ? device.name() + " is at " + PlannedAddress.of(device) + ", by hand"
                            : "Seen by hand");
        }
        Ipv4 start = device.found().orElse(device.profile().factory().orElseThrow().address());
        return switch (step.kind()) {
            case SEE -> answers(stored, device, start, "the address it starts on");
            case RESTART -> restarted(stored, device, start);
            default -> answers(stored, device, PlannedAddress.of(device), "its planned address");
        };
    }

    private static Result laptop(Laptop laptop, Step step) {
        String wanted = step.laptop().toString();
        if (step.kind() == Step.Kind.ALIAS) {
            return laptop.also().contains(wanted)
                    ? Result.asked("The laptop has " + wanted + " beside " + laptop.own())
                    : Result.notYet(
                            "The laptop is on " + laptop.own() + " and has no " + wanted,
                            "Add " + wanted + " to it, then check again.");
        }
        return laptop.own().equals(wanted)
                ? Result.asked("The laptop is on " + laptop.own())
                : Result.notYet(
                        "The laptop is on " + laptop.own(),
                        "Set it to " + wanted + ", then check again.");
    }

    private Result answers(Jobs.Stored stored, Device device, Ipv4 address, String what) {
        return world.reach(stored, address).match(new Answer(device, address, what));
    }

    /** What an address answers, as the result of a step. */
    private final class Answer implements Reach.Cases<Result> {
        private final Device device;
        private final Ipv4 address;
        private final String what;

        Answer(Device device, Ipv4 address, String what) {
            this.device = device;
            this.address = address;
            this.what = what;
        }

        @Override
        public Result elsewhere(Reach.Elsewhere it) {
            return Result.notYet(
                    "The laptop is on " + it.laptop() + " and cannot see " + address,
                    "Set the laptop's address as shown below, then check again.");
        }

        @Override
        public Result silent(Reach.Silent it) {
            return Result.notYet(
                    "Nothing answers at " + address,
                    "Look that "
                            + device.name()
                            + " is plugged in, its link light is on and its boot is over, then check again.");
        }

        @Override
        public Result fighting(Reach.Fighting it) {
            return Result.notYet(
                    it.all() + " both answer at " + address + " and fight over it",
                    "Unplug all of them but " + device.name() + ", then check again.");
        }

        @Override
        public Result one(Reach.One it) {
            return ask(device, address, what, it.answering());
        }
    }

    private Result ask(Device device, Ipv4 address, String what, Answering answering) {
        String mac = answering.mac();
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
        try (HeadLink link = world.open(answering, Form.HEADER, new WireLog(16))) {
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
        return world.reach(stored, start)
                .match(
                        new Reach.Cases<>() {
                            @Override
                            public Result elsewhere(Reach.Elsewhere it) {
                                return fromElsewhere(stored, device, start);
                            }

                            @Override
                            public Result silent(Reach.Silent it) {
                                return Result.asked(
                                        "Nothing is left at " + start + ": the next may come");
                            }

                            @Override
                            public Result fighting(Reach.Fighting it) {
                                return stillThere(it.names().get(0), start);
                            }

                            @Override
                            public Result one(Reach.One it) {
                                return stillThere(it.answering().name(), start);
                            }
                        });
    }

    private static Result stillThere(String name, Ipv4 start) {
        return Result.notYet(
                name + " still answers at " + start,
                "Its new address was not saved. Type it in again and save, then check again.");
    }

    private Result fromElsewhere(Jobs.Stored stored, Device device, Ipv4 start) {
        Ipv4 planned = PlannedAddress.of(device);
        Ipv4 now = world.addressNow(stored, device).orElse(planned);
        boolean leased = !now.equals(start) && !now.equals(planned);
        Ipv4 there = leased ? now : planned;
        return world.reach(stored, there) instanceof Reach.Elsewhere
                ? Result.told("Its boot time is over; it is verified from home")
                : answers(stored, device, there, leased ? "its lease" : "its planned address");
    }
}
