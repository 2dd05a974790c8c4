package app.jerboa.server.proof;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes in what was seen: stored with what it rests on, told to whoever looks on. */
@Service
public class Observations {
    private final Jobs jobs;
    private final Logbook log;
    private final Live live;

    Observations(Jobs jobs, Logbook log, Live live) {
        this.jobs = jobs;
        this.log = log;
        this.live = live;
    }

    /** What a machine asked, at the wish of a person or by itself. */
    @Transactional
    public Jobs.Stored add(long job, List<NewObservation> seen, String by) {
        Jobs.Stored stored = jobs.lock(job);
        if (seen.isEmpty()) {
            return stored;
        }
        seen.forEach(o -> stored.need(o.device().value()));
        Jobs.Stored now = jobs.observe(stored, seen, by);
        live.changed(job, Notice.PROOF);
        return now;
    }

    /** As above, with its line in the logbook. */
    @Transactional
    public Jobs.Stored add(long job, List<NewObservation> seen, String text, Author by) {
        log.claim(by);
        Jobs.Stored now = add(job, seen, by.displayName());
        List<Long> devices = seen.stream().map(o -> o.device().value()).distinct().toList();
        log.event(job, text, devices, by);
        return now;
    }

    /** Where a device answered, beside where it is planned. */
    public static NewObservation address(
            Device device, Ipv4 found, Evidence evidence, String detail) {
        boolean right = device.address().filter(found::equals).isPresent();
        return NewObservation.of(
                device.id(),
                Topic.ADDRESS,
                found.toString(),
                evidence,
                right ? Outcome.OK : Outcome.DIFFERS,
                detail);
    }
}
