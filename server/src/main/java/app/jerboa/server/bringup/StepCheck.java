package app.jerboa.server.bringup;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.job.PlannedAddress;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.HeadLinks;
import app.jerboa.server.world.Laptop;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.WireLogs;
import app.jerboa.server.world.World;
import app.jerboa.server.world.Worlds;
import app.jerboa.wire.link.session.Answers;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Finds out whether a step is really done: by asking the devices, never by believing the click. */
@Component
public class StepCheck {
    private static final int PATIENCE_SECONDS = 2;

    /**
     * What a check brought.
     *
     * @param evidence asked, seen or told
     * @param seen to be kept with it, beside what the step itself is kept as
     */
    record Result(
            boolean done, String evidence, String saw, String next, List<NewObservation> seen) {
        Result(boolean done, String evidence, String saw, String next) {
            this(done, evidence, saw, next, List.of());
        }

        /** The network says so. */
        static Result asked(String key, Map<String, ?> facts) {
            return new Result(true, "asked", Words.say("check." + key, facts), "");
        }

        /** It answers, so that no boot is waited for. */
        boolean booted() {
            return evidence.equals("asked");
        }

        /** A person says so. */
        static Result told(String key, Map<String, ?> facts) {
            return new Result(true, "told", Words.say("told." + key, facts), "");
        }

        Result with(List<NewObservation> more) {
            return new Result(done, evidence, saw, next, List.copyOf(more));
        }

        static Result told(String key) {
            return told(key, Map.of());
        }

        /** What was seen instead, and what to do next. */
        static Result notYet(String key, Map<String, ?> facts) {
            return new Result(
                    false,
                    "",
                    Words.say("check." + key, facts),
                    Words.say("check." + key + ".next", facts));
        }
    }

    private final Worlds worlds;
    private final HeadLinks links;
    private final WireLogs logs;
    private final RouteCheck route;

    StepCheck(Worlds worlds, HeadLinks links, WireLogs logs, RouteCheck route) {
        this.route = route;
        this.logs = logs;
        this.worlds = worlds;
        this.links = links;
    }

    Result check(Jobs.Stored stored, Step step) {
        if (step.device().isEmpty()) {
            return worlds.of(stored.id())
                    .laptop(stored)
                    .map(laptop -> laptop(laptop, step, stored.job()))
                    .orElseGet(() -> Result.told("laptop", Map.of("laptop", step.laptop())));
        }
        Device device = stored.job().device(step.device().get()).orElseThrow();
        return byHand(step, device).orElseGet(() -> ask(stored, step, device));
    }

    /** What only a person can tell. */
    private static Optional<Result> byHand(Step step, Device device) {
        return switch (step.kind()) {
            case PLUG, PLUG_OFF, PORT, RESET, UPDATE, LEASE, SEARCH, PAIR ->
                    Optional.of(Result.told(step.kind().wire()));
            case SET ->
                    Optional.of(Result.told("set", Map.of("planned", PlannedAddress.of(device))));
            case LEAD_OUT, LEAD_HOME -> Optional.of(Result.told("lead"));
            case REACH, LABEL, ENTER, JOIN, STREAM -> Optional.of(Result.told("listed"));
            case ASK, SEE, RESTART, VERIFY, HOP_OUT, ALIAS, HOP_HOME -> Optional.empty();
        };
    }

    private Result ask(Jobs.Stored stored, Step step, Device device) {
        World world = worlds.of(stored.id());
        if (step.kind() == Step.Kind.ASK) {
            return route.check(stored, world, device);
        }
        if (!world.canAsk(device)) {
            return step.kind() == Step.Kind.VERIFY
                    ? Result.told(
                            "verify",
                            Map.of(
                                    "device", device.name(),
                                    "planned", PlannedAddress.of(device)))
                    : Result.told("seen");
        }
        Optional<Ipv4> start =
                device.found().or(() -> device.profile().factory().map(FactoryAddress::address));
        return switch (step.kind()) {
            case SEE ->
                    answers(
                            stored,
                            device,
                            start.or(() -> world.addressNow(stored, device))
                                    .orElse(PlannedAddress.of(device)),
                            start.isPresent() ? "start" : "lease");
            case RESTART ->
                    start.map(at -> restarted(stored, device, at))
                            .orElseGet(() -> atPlannedOrLease(stored, device));
            default -> answers(stored, device, PlannedAddress.of(device), "planned");
        };
    }

    private static Result laptop(Laptop laptop, Step step, Job job) {
        String wanted = step.laptop().toString();
        Optional<String> there = LaptopPlace.of(laptop, step.laptop(), job);
        Map<String, String> facts =
                Map.of("laptop", laptop.own(), "wanted", wanted, "there", there.orElse(""));
        if (step.kind() == Step.Kind.ALIAS) {
            return there.isPresent()
                    ? Result.asked("laptop.has", facts)
                    : Result.notYet("laptop.lacks", facts);
        }
        return there.isPresent()
                ? Result.asked("laptop.there", facts)
                : Result.notYet("laptop.on", facts);
    }

    /**
     * @param place what the address is to the device: start, planned or lease
     */
    private Result answers(Jobs.Stored stored, Device device, Ipv4 address, String place) {
        return worlds.of(stored.id())
                .reach(stored, address)
                .match(new Answer(stored.id(), device, address, place));
    }

    /** What an address answers, as the result of a step. */
    private final class Answer implements Reach.Cases<Result> {
        private final long job;
        private final Device device;
        private final Ipv4 address;
        private final String place;

        Answer(long job, Device device, Ipv4 address, String place) {
            this.job = job;
            this.device = device;
            this.address = address;
            this.place = place;
        }

        @Override
        public Result elsewhere(Reach.Elsewhere it) {
            return Result.notYet("elsewhere", Map.of("laptop", it.laptop(), "address", address));
        }

        @Override
        public Result silent(Reach.Silent it) {
            return Result.notYet("silent", Map.of("device", device.name(), "address", address));
        }

        @Override
        public Result fighting(Reach.Fighting it) {
            return Result.notYet(
                    "fighting",
                    Map.of(
                            "all", it.all(),
                            "count", it.rivals().size(),
                            "device", device.name(),
                            "address", address));
        }

        @Override
        public Result one(Reach.One it) {
            String mac = it.answering().mac();
            return device.mac().isEmpty() || mac.isEmpty() || device.mac().equals(mac)
                    ? ask(job, device, address, place, it.answering())
                    : Result.notYet(
                            "other-mac",
                            Map.of(
                                    "address",
                                    address,
                                    "mac",
                                    mac,
                                    "expected",
                                    device.mac(),
                                    "device",
                                    device.name()));
        }
    }

    private Result ask(long job, Device device, Ipv4 address, String place, Answering answering) {
        if (device.profile().answers(Protocol.VISCA_IP).isEmpty() && answering.mac().isEmpty()) {
            return Result.told("verify", Map.of("device", device.name(), "planned", address));
        }
        if (device.profile().answers(Protocol.VISCA_IP).isEmpty()) {
            return Result.asked(
                    "there",
                    Map.of(
                            "device", device.name(),
                            "address", address,
                            "place", Words.say("place." + place),
                            "mac", answering.mac()));
        }
        try (HeadLink link =
                links.open(answering, Protocol.VISCA_IP, logs.of(job, device.id().value()))) {
            Version version = Answers.await(link.askVersion(), PATIENCE_SECONDS);
            PanTilt at = Answers.await(link.askPanTilt(false), PATIENCE_SECONDS);
            return Result.asked(
                    "answers",
                    Map.of(
                            "device", device.name(),
                            "address", address,
                            "place", Words.say("place." + place),
                            "mac", macWords(answering),
                            "model", String.format(Locale.ROOT, "%04X", version.model()),
                            "rom", String.format(Locale.ROOT, "%04X", version.rom()),
                            "pan", Integer.toString(at.pan()),
                            "tilt", Integer.toString(at.tilt())));
        } catch (NoAnswer e) {
            return Result.notYet(
                    "no-visca",
                    Map.of(
                            "device", device.name(),
                            "address", address,
                            "reason", e.getMessage()));
        }
    }

    private static String macWords(Answering answering) {
        return answering.mac().isEmpty() ? Words.say("mac.not-told") : answering.mac();
    }

    /**
     * From where its start can be seen: that address is silent. From home: its planned one answers.
     * From elsewhere the clock must do, until it is verified.
     */
    private Result restarted(Jobs.Stored stored, Device device, Ipv4 start) {
        return worlds.of(stored.id())
                .reach(stored, start)
                .match(
                        new Reach.Cases<>() {
                            @Override
                            public Result elsewhere(Reach.Elsewhere it) {
                                return fromElsewhere(stored, device, start);
                            }

                            @Override
                            public Result silent(Reach.Silent it) {
                                return Result.asked("left", Map.of("address", start));
                            }

                            @Override
                            public Result fighting(Reach.Fighting it) {
                                return stillThere(it.rivals().get(0).name(), start);
                            }

                            @Override
                            public Result one(Reach.One it) {
                                return stillThere(it.answering().name(), start);
                            }
                        });
    }

    private static Result stillThere(String name, Ipv4 start) {
        return Result.notYet("still", Map.of("device", name, "address", start));
    }

    private Result fromElsewhere(Jobs.Stored stored, Device device, Ipv4 start) {
        Ipv4 planned = PlannedAddress.of(device);
        Ipv4 now = worlds.of(stored.id()).addressNow(stored, device).orElse(planned);
        return now.equals(start)
                ? answersUnlessElsewhere(stored, device, planned, "planned")
                : atPlannedOrLease(stored, device);
    }

    private Result atPlannedOrLease(Jobs.Stored stored, Device device) {
        Ipv4 planned = PlannedAddress.of(device);
        Ipv4 now = worlds.of(stored.id()).addressNow(stored, device).orElse(planned);
        return answersUnlessElsewhere(
                stored, device, now, now.equals(planned) ? "planned" : "lease");
    }

    private Result answersUnlessElsewhere(
            Jobs.Stored stored, Device device, Ipv4 there, String place) {
        return worlds.of(stored.id()).reach(stored, there) instanceof Reach.Elsewhere
                ? Result.told("boot")
                : answers(stored, device, there, place);
    }
}
