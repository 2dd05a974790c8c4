package app.jerboa.server.tally;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Whether what is on air is said by hand or read from a switcher, and which cameras it tells of.
 */
@Service
class Tallies {
    private final TallyMapper mapper;
    private final Jobs jobs;
    private final Logbook log;
    private final Live live;

    Tallies(TallyMapper mapper, Jobs jobs, Logbook log, Live live) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.log = log;
        this.live = live;
    }

    /** Switchers that say what is on programme, and have a camera at one of their inputs. */
    static List<Device> possible(Job job) {
        return job.devices().stream()
                .filter(d -> d.profile().tally().isPresent())
                .filter(d -> d.address().isPresent())
                .filter(d -> !inputs(job, d.id()).isEmpty())
                .toList();
    }

    /** Cameras by the input of a switcher that they come in at, as planned. */
    static Map<Integer, Long> inputs(Job job, DeviceId switcher) {
        Map<Integer, Long> inputs = new TreeMap<>();
        for (Line line : job.lines()) {
            line.input()
                    .filter(i -> i.switcher().equals(switcher))
                    .ifPresent(i -> inputs.putIfAbsent(i.number(), line.camera().value()));
        }
        return inputs;
    }

    Optional<Long> source(long job) {
        return mapper.source(job);
    }

    /** Until it says otherwise each of its cameras may be on air. */
    @Transactional
    public void read(long job, long switcher, Author by) {
        Jobs.Stored stored = jobs.load(job);
        Device device = stored.need(switcher);
        if (possible(stored.job()).stream().noneMatch(d -> d.id().value() == switcher)) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-tally",
                    Words.say("tally.not-told", Map.of("switcher", device.name())));
        }
        List<Long> cameras = List.copyOf(inputs(stored.job(), device.id()).values());
        mapper.read(job, switcher, by.displayName());
        mapper.forget(job);
        mapper.unknown(job, cameras);
        log.event(job, Words.say("tally.read", Map.of("switcher", device.name())), cameras, by);
        live.changed(job, Notice.DESK);
    }

    @Transactional
    public void byHand(long job, Author by) {
        mapper.byHand(job);
        mapper.forget(job);
        log.event(job, Words.say("tally.by-hand"), List.of(), by);
        live.changed(job, Notice.DESK);
    }

    /** What the switcher says now; each page is told when something changed. */
    @Transactional
    public void heard(long job, DeviceId switcher, int programme, boolean changed) {
        Map<Integer, Long> inputs = inputs(jobs.load(job).job(), switcher);
        mapper.heard(
                job,
                switcher.value(),
                inputs.values().toArray(Long[]::new),
                inputs.keySet().stream().map(i -> i == programme).toArray(Boolean[]::new));
        if (changed) {
            live.changed(job, Notice.DESK);
        }
    }

    /** It is silent: what it said has grown old, and each page is told so. */
    @Transactional
    public void silent(long job) {
        live.changed(job, Notice.DESK);
    }
}
