package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.PluggedLeads;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A person who stands at the socket says which of several leads is in it. */
@RestController
@RequestMapping("/api/jobs/{job}/desk/{device}/lead")
class LeadController {
    private final Jobs jobs;
    private final Contacts contacts;
    private final PluggedLeads plugged;
    private final Gates gates;
    private final Logbook log;
    private final Live live;

    LeadController(
            Jobs jobs,
            Contacts contacts,
            PluggedLeads plugged,
            Gates gates,
            Logbook log,
            Live live) {
        this.jobs = jobs;
        this.contacts = contacts;
        this.plugged = plugged;
        this.gates = gates;
        this.log = log;
        this.live = live;
    }

    @PutMapping
    @Needs(Right.PLAN)
    void there(
            @PathVariable("job") long job,
            @PathVariable("device") long number,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        Device camera = stored.need(number);
        DeskWay way = contacts.ways(stored).to(camera);
        if (!(way instanceof DeskWay.OverLine line) || !plugged.isToBeSaid(job, line)) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "one-lead",
                    Words.say("refused.one-lead", Map.of("device", camera.name())));
        }
        insistOthersStand(job, line);
        plugged.say(job, line, by.displayName());
        List<Device> reached = line.line().cameras();
        log.event(
                job,
                Words.say(
                        "logged.lead-there",
                        Map.of("lead", DeskWords.names(reached), "to", line.from().name())),
                reached.stream().map(d -> d.id().value()).toList(),
                by);
        live.changed(job, Notice.DRIVERS);
    }

    /** A lead must not be pulled from under a head that somebody drives. */
    private void insistOthersStand(long job, DeskWay.OverLine line) {
        Map<Long, GateMapper.Said> said = gates.said(job);
        line.others().stream()
                .flatMap(o -> o.cameras().stream())
                .filter(d -> said.containsKey(d.id().value()))
                .filter(d -> !said.get(d.id().value()).heldBy().isBlank())
                .findFirst()
                .ifPresent(
                        d -> {
                            throw new Problem(
                                    HttpStatus.CONFLICT,
                                    "driven",
                                    Words.say(
                                            "refused.lead-driven",
                                            Map.of(
                                                    "person",
                                                    said.get(d.id().value()).heldBy(),
                                                    "device",
                                                    d.name())));
                        });
    }
}
