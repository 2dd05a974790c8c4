package app.jerboa.server.shot;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.control.PresetNumbering;
import app.jerboa.core.job.shot.ShotPlan;
import app.jerboa.core.shot.Sending;
import app.jerboa.core.shot.ShotList;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.desk.MachineStopped;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.run.MachineRun;
import app.jerboa.server.shot.ShotBodies.SentCamera;
import app.jerboa.server.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;

/**
 * Sends the cameras of the takes to come ahead, as long as the page of whoever runs the list is
 * there. It looks at where the run stands again and again; a cut, a skip or an edit of the list is
 * seen with the next look. A camera on air is never moved: one that is shown while it still travels
 * is stopped.
 */
final class ShotRunning implements MachineRun {
    private static final int LOOK_MILLIS = 150;

    /** Silence of the page after which no camera moves on. */
    private static final double STOPS_AFTER_SECONDS = 3;

    private static final double ENDS_AFTER_SECONDS = 60;

    record Tools(Jobs jobs, MachineDesks desks, ShotRunMapper mapper, ExecutorService threads) {}

    private final Tools tools;
    private final long job;
    private final long list;
    private final Person by;
    private final String httpSession;
    private final long stops;

    /** By device. */
    private final Map<Long, ShotSend> sends = new TreeMap<>();

    /** By device, the number of the preset at which it was shown or to which it was sent. */
    private final Map<Long, Integer> where = new HashMap<>();

    private List<SentCamera> told = List.of();
    private volatile boolean cancelled;

    ShotRunning(Tools tools, long job, long list, Person by, String httpSession) {
        this.tools = tools;
        this.job = job;
        this.list = list;
        this.by = by;
        this.httpSession = httpSession;
        this.stops = tools.desks().stops(job);
    }

    @Override
    public void cancel() {
        cancelled = true;
    }

    @Override
    public End run(Progress progress) {
        try {
            while (!cancelled) {
                tools.desks().insistNotStopped(job, stops);
                ShotRunRow row = tools.mapper().row(job).orElseThrow();
                if (row.silent() > ENDS_AFTER_SECONDS) {
                    return End.stopped(Words.say("shot.page-gone"));
                }
                if (row.silent() > STOPS_AFTER_SECONDS) {
                    sends.values().forEach(ShotSend::cancel);
                }
                Optional<Plan> plan = plan(row);
                if (plan.isEmpty()) {
                    return End.stopped(Words.say("shot.list-gone"));
                }
                look(plan.get(), row);
                tell(plan.get(), progress);
                TimeUnit.MILLISECONDS.sleep(LOOK_MILLIS);
            }
            return End.CANCELLED;
        } catch (MachineStopped e) {
            return End.stopped(e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return End.stopped(Words.say("run.killed"));
        } finally {
            sends.values().forEach(ShotSend::cancel);
        }
    }

    /**
     * The list as it is planned now.
     *
     * @param at place of the take on air, or {@link Sending#NOT_BEGUN}
     * @param next place of the take that is up next
     */
    private record Plan(Jobs.Stored stored, ShotPlan shots, int at, int next) {
        ShotList list() {
            return shots.list();
        }

        ShotPlan.Planned take(int place) {
            return shots.takes().get(place);
        }

        long device(int place) {
            return take(place).take().camera().value();
        }
    }

    /** Empty when the list, or the take on air or the next, was taken away. */
    private Optional<Plan> plan(ShotRunRow row) {
        Jobs.Stored stored = tools.jobs().load(job);
        return ShotPlan.of(stored.job()).stream()
                .filter(p -> p.shots().id() == list)
                .findFirst()
                .map(
                        p ->
                                new Plan(
                                        stored,
                                        p,
                                        place(p, row.atTake()).orElse(Sending.NOT_BEGUN),
                                        place(p, row.nextTake()).orElse(p.takes().size())))
                .filter(p -> row.atTake() == null || p.at() != Sending.NOT_BEGUN)
                .filter(p -> row.nextTake() == null || p.next() < p.shots().takes().size());
    }

    private static Optional<Integer> place(ShotPlan plan, Long take) {
        return IntStream.range(0, plan.takes().size())
                .filter(i -> take != null && plan.takes().get(i).take().id() == take)
                .boxed()
                .findFirst();
    }

    private void look(Plan plan, ShotRunRow row) {
        if (plan.at() != Sending.NOT_BEGUN) {
            onAir(plan);
        }
        // Cut to at a switcher, or said by hand elsewhere: it stops where it is.
        sends.values().stream()
                .filter(s -> s.is(ShotSend.State.TRAVELS))
                .filter(s -> tools.desks().onAir(job, s.device()))
                .forEach(ShotSend::cancel);
        sends.values().stream()
                .filter(s -> s.is(ShotSend.State.THERE))
                .forEach(s -> where.put(s.device(), s.preset()));
        Sending.Now now = new Sending.Now(plan.at(), plan.next(), row.elapsed(), places(plan));
        List<Sending> due =
                plan.next() < plan.shots().takes().size()
                        ? Sending.of(plan.list(), now)
                        : List.of();
        boolean mayMove = row.silent() <= STOPS_AFTER_SECONDS;
        for (Sending s : due) {
            send(plan, row, s, mayMove);
        }
    }

    /** What is shown stands; where somebody drives by hand nobody knows where it is left. */
    private void onAir(Plan plan) {
        long device = plan.device(plan.at());
        Optional.ofNullable(sends.remove(device)).ifPresent(ShotSend::cancel);
        plan.take(plan.at())
                .preset()
                .map(Preset::number)
                .ifPresentOrElse(p -> where.put(device, p), () -> where.remove(device));
    }

    /** Where cameras stand, by the places of the list. */
    private Map<Integer, Integer> places(Plan plan) {
        Map<Integer, Integer> places = new HashMap<>();
        for (int t = 0; t < plan.shots().takes().size(); t++) {
            Integer number = where.get(plan.device(t));
            if (number != null) {
                int camera = plan.list().camera(t);
                plan.shots()
                        .viewOf(plan.take(t).take().camera(), number)
                        .ifPresent(p -> places.put(camera, p));
            }
        }
        return places;
    }

    private void send(Plan plan, ShotRunRow row, Sending due, boolean mayMove) {
        long device = plan.device(due.take());
        Preset to = plan.take(due.take()).preset().orElseThrow();
        ShotSend before = sends.get(device);
        if (before != null && before.isFor(due.take() + 1, to) && !before.goesAgain(row.cuts())) {
            return;
        }
        if (before != null && before.travels()) {
            // It goes where it is no longer wanted: it stands first, and is sent with a later look.
            before.cancel();
            return;
        }
        Device camera = plan.stored().need(device);
        PresetNumbering numbers = PresetNumbering.of(plan.stored().job());
        ShotSend send =
                new ShotSend(
                        tools.desks(),
                        new ShotSend.Wish(
                                job,
                                camera,
                                due.take() + 1,
                                to,
                                numbers.called(camera.id(), to.number()),
                                row.cuts(),
                                plan.list().longest(plan.list().camera(due.take()))),
                        by,
                        httpSession);
        if (!due.inTime()) {
            send.noTime(due);
            sends.put(device, send);
        } else if (mayMove) {
            sends.put(device, send);
            where.remove(device);
            tools.threads().execute(send);
        }
    }

    private void tell(Plan plan, Progress progress) {
        List<SentCamera> now = new ArrayList<>();
        sends.values().forEach(s -> now.add(s.body()));
        if (!now.equals(told)) {
            told = now;
            progress.found(now);
            progress.now(0, plan.shots().shots().name());
        }
    }
}
