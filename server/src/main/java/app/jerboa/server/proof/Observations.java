package app.jerboa.server.proof;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Observation;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.words.Words;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    /** Its MAC as the network tells it; one that is not noted yet is no difference. */
    public static NewObservation mac(Device device, String mac) {
        boolean right = device.mac().isEmpty() || mac.equals(device.mac());
        return NewObservation.of(
                device.id(),
                Topic.MAC,
                mac,
                Evidence.ASKED,
                right ? Outcome.OK : Outcome.DIFFERS,
                Words.say("prove.did.mac"));
    }

    /**
     * Two answer at its address, of which it may be one.
     *
     * @param macs of all of them, as far as the network tells
     */
    public static List<NewObservation> fought(
            Device device, Ipv4 address, Collection<String> macs) {
        String detail =
                Words.say(
                        "prove.second",
                        Map.of("address", address, "macs", String.join(", ", macs)));
        return List.of(
                NewObservation.of(
                        device.id(), Topic.ADDRESS, "", Evidence.ASKED, Outcome.DIFFERS, detail),
                NewObservation.of(
                        device.id(),
                        Topic.ALONE,
                        String.join(", ", macs),
                        Evidence.ASKED,
                        Outcome.DIFFERS,
                        detail));
    }

    /** One alone answers at its address; told only where two were seen before. */
    public static Optional<NewObservation> alone(Jobs.Stored stored, Device device) {
        return stored.seen()
                .deciding(device.id(), Topic.ALONE)
                .flatMap(Observation::outcome)
                .filter(o -> o != Outcome.OK)
                .map(
                        o ->
                                NewObservation.of(
                                        device.id(),
                                        Topic.ALONE,
                                        "",
                                        Evidence.ASKED,
                                        Outcome.OK,
                                        Words.say("prove.alone")));
    }
}
