package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What people say of the place of a head and of its picture; written into the logbook. */
@Component
class Gates {
    private static final int MOST = 1_000;

    private final GateMapper mapper;
    private final Jobs jobs;
    private final Logbook log;
    private final Live live;

    Gates(GateMapper mapper, Jobs jobs, Logbook log, Live live) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.log = log;
        this.live = live;
    }

    Gate of(CameraId camera) {
        return all(List.of(camera)).get(camera);
    }

    /** One for each of them. */
    Map<CameraId, Gate> all(Collection<CameraId> cameras) {
        if (cameras.isEmpty()) {
            return Map.of();
        }
        return mapper.gates(cameras, Gate.ENDS_AFTER_MINUTES).stream()
                .collect(Collectors.toMap(GateMapper.Row::id, GateMapper.Row::gate));
    }

    /** By device; one without limits is left out. */
    Map<Long, LimitsWish> limits(long job) {
        return mapper.limits(job).stream()
                .collect(
                        Collectors.toMap(
                                GateMapper.SetLimits::device,
                                l ->
                                        new LimitsWish(
                                                Optional.ofNullable(l.panLeft()),
                                                Optional.ofNullable(l.panRight()),
                                                Optional.ofNullable(l.tiltDown()),
                                                Optional.ofNullable(l.tiltUp()))));
    }

    /** By device; one that is not turned is left out. */
    Map<Long, Turned> turned(long job) {
        return mapper.turned(job).stream()
                .filter(t -> t.pan() || t.tilt())
                .collect(
                        Collectors.toMap(
                                GateMapper.SetTurned::device, t -> new Turned(t.pan(), t.tilt())));
    }

    @Transactional
    public void turn(CameraId camera, Turned to, Author by) {
        Device device = headed(camera);
        mapper.setTurned(camera, to.pan(), to.tilt(), by.displayName());
        log.event(
                camera.job(),
                Words.say("turned." + to.word(), Map.of("camera", device.name())),
                List.of(camera.device()),
                by);
        live.changed(camera.job(), Notice.DESK);
    }

    private Device headed(CameraId camera) {
        Device device = jobs.load(camera.job()).need(camera.device());
        if (device.profile().head().isEmpty()) {
            throw Problem.notFound("head");
        }
        return device;
    }

    @Transactional
    public void limit(CameraId camera, LimitsWish to, Author by) {
        to.insist();
        Device device = headed(camera);
        if (to.isNone()) {
            mapper.dropLimits(camera);
        } else {
            mapper.setLimits(
                    camera,
                    to.panLeft().orElse(null),
                    to.panRight().orElse(null),
                    to.tiltDown().orElse(null),
                    to.tiltUp().orElse(null),
                    by.displayName());
        }
        log.event(
                camera.job(),
                to.isNone()
                        ? device.name() + " has no soft limits any more"
                        : "Soft limits of " + device.name() + ": " + to.inWords(),
                List.of(camera.device()),
                by);
        live.changed(camera.job(), Notice.DESK);
    }

    /** By device; one of which nothing is said is left out. */
    Map<Long, GateMapper.Said> said(long job) {
        return mapper.said(job, Gate.ENDS_AFTER_MINUTES).stream()
                .collect(Collectors.toMap(GateMapper.Said::device, s -> s));
    }

    /** It moves now: the work goes on, and with it what was said. */
    void moved(CameraId camera) {
        mapper.stillClear(camera, Gate.ENDS_AFTER_MINUTES);
    }

    /**
     * @param clear false takes back what was said
     */
    @Transactional
    public void say(long job, List<Long> devices, boolean clear, Author by) {
        if (devices.isEmpty() || devices.size() > MOST) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    "Name 1 to " + MOST + " cameras.",
                    Map.of("field", "devices"));
        }
        Jobs.Stored stored = jobs.load(job);
        String names =
                devices.stream()
                        .map(stored::need)
                        .map(Device::name)
                        .collect(Collectors.joining(", "));
        if (clear) {
            mapper.sayClear(job, devices, by.displayName());
        } else {
            mapper.takeClearBack(job, devices);
        }
        log.event(
                job,
                (clear ? "Clear was said at the place of " : "No longer clear: ") + names,
                devices,
                by);
        live.changed(job, Notice.DESK);
    }

    /** One picture goes out instead of others. */
    @Transactional
    public void cut(CameraId on, List<Long> off, String what, Author by) {
        off.forEach(d -> mapper.offAir(new CameraId(on.job(), d)));
        // Where a switcher tells, what is said by hand beside it would outlast its cut.
        if (!mapper.isRead(on.job())) {
            mapper.onAir(on, by.displayName());
        }
        log.event(on.job(), what, List.of(on.device()), by);
        live.changed(on.job(), Notice.DESK);
    }

    @Transactional
    public void air(CameraId camera, boolean on, Author by) {
        Device device = jobs.load(camera.job()).need(camera.device());
        if (on) {
            mapper.onAir(camera, by.displayName());
        } else {
            mapper.offAir(camera);
        }
        log.event(
                camera.job(),
                device.name() + (on ? " is on air" : " is off air") + ", said by hand",
                List.of(camera.device()),
                by);
        live.changed(camera.job(), Notice.DESK);
    }
}
