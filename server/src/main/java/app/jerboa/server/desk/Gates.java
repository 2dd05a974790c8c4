package app.jerboa.server.desk;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What people say of the place of a head, of its picture and of how desks steer it; written into
 * the logbook.
 */
@Component
class Gates {
    private static final Logger LOG = LoggerFactory.getLogger(Gates.class);
    private static final int MOST = 1_000;

    private final GateMapper mapper;
    private final Jobs jobs;
    private final Commands commands;
    private final Logbook log;
    private final Live live;

    Gates(GateMapper mapper, Jobs jobs, Commands commands, Logbook log, Live live) {
        this.commands = commands;
        this.mapper = mapper;
        this.jobs = jobs;
        this.log = log;
        this.live = live;
    }

    Gate of(CameraId camera) {
        return all(List.of(camera)).getOrDefault(camera, Gate.SHUT);
    }

    /** One for each of them. */
    Map<CameraId, Gate> all(Collection<CameraId> cameras) {
        if (cameras.isEmpty()) {
            return Map.of();
        }
        Map<Long, Optional<Job>> of = new HashMap<>();
        Map<CameraId, Gate> all = new HashMap<>();
        for (GateMapper.Row row : mapper.gates(cameras, Gate.ENDS_AFTER_MINUTES)) {
            of.computeIfAbsent(row.job(), this::find)
                    .flatMap(j -> j.device(new DeviceId(row.device())))
                    .ifPresent(d -> all.put(row.id(), row.gate(d.steering())));
        }
        return all;
    }

    /**
     * Empty for one that was thrown away while somebody drove in it, or that cannot be read: the
     * desks of other jobs are told theirs all the same.
     */
    private Optional<Job> find(long job) {
        try {
            return Optional.of(jobs.load(job).job());
        } catch (RuntimeException e) {
            LOG.info("job {} is not read for its desks: {}", job, Threads.reason(e));
            return Optional.empty();
        }
    }

    void turn(CameraId camera, Turned to, Author by) {
        steer(
                camera,
                Map.of(
                        Field.PAN_ROUND, Boolean.toString(to.pan()),
                        Field.TILT_ROUND, Boolean.toString(to.tilt())),
                by);
    }

    void limit(CameraId camera, LimitsWish to, Author by) {
        to.insist(headed(camera));
        steer(camera, to.texts(), by);
    }

    /** A change of the job like any other; nothing happens where it stands so already. */
    private void steer(CameraId camera, Map<Field, String> to, Author by) {
        Device device = headed(camera);
        if (edits(device, to).isEmpty()) {
            return;
        }
        commands.apply(
                camera.job(),
                s -> new ChangeSet(List.of(), edits(s.need(camera.device()), to), List.of()),
                by);
        live.changed(camera.job(), Notice.DESK);
    }

    private static List<Edit> edits(Device device, Map<Field, String> to) {
        return to.entrySet().stream()
                .map(
                        e ->
                                new Edit(
                                        device.ref(),
                                        e.getKey(),
                                        JobItems.text(device, e.getKey()),
                                        e.getValue()))
                .filter(e -> !e.before().equals(e.after()))
                .sorted(Comparator.comparing(Edit::field))
                .toList();
    }

    private Device headed(CameraId camera) {
        Device device = jobs.load(camera.job()).need(camera.device());
        if (device.profile().head().isEmpty()) {
            throw Problem.notFound("head");
        }
        return device;
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
                    Words.say("refused.cameras-named", Map.of("most", MOST)),
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
                Words.say(clear ? "logged.clear" : "logged.not-clear", Map.of("devices", names)),
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
                Words.say(on ? "logged.on-air" : "logged.off-air", Map.of("device", device.name())),
                List.of(camera.device()),
                by);
        live.changed(camera.job(), Notice.DESK);
    }
}
