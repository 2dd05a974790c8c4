package app.jerboa.server.world;

import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.findings.FindingWords;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.serial.SerialPorts;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where a job's commands go, and how this machine stands in it. */
@RestController
@RequestMapping("/api/jobs/{job}/world")
class WorldController {
    /**
     * @param world empty, rig or live
     * @param words its name
     * @param offered by this server
     * @param laptop the address that reaches the job, with its prefix; empty where it cannot be
     *     told
     * @param addresses all that this machine has, where it is the laptop
     * @param cautions what stands in the way, a sentence each
     * @param findings of how this machine stands to the plan; none of them can be waived
     * @param serialPort of this machine that serial leads are reached through; empty for none
     * @param serialPorts that this machine has now
     */
    record WorldView(
            String world,
            String words,
            List<String> offered,
            String laptop,
            List<OwnAddress> addresses,
            List<String> cautions,
            List<FindingBody> findings,
            String serialPort,
            List<String> serialPorts) {}

    /** Empty for none. */
    record SerialPortBody(String path) {}

    /** Confirmed must be true for the live network. */
    record WorldBody(String world, boolean confirmed) {}

    private static final Pattern PORT =
            Pattern.compile("/dev/(pts/)?[A-Za-z0-9._-]{1,60}|COM[0-9]{1,3}");

    private final Worlds worlds;
    private final Jobs jobs;
    private final Live live;

    WorldController(Worlds worlds, Jobs jobs, Live live) {
        this.worlds = worlds;
        this.jobs = jobs;
        this.live = live;
    }

    @GetMapping
    WorldView view(@PathVariable("job") long job) {
        WorldChoice choice = worlds.choice(job);
        World world = worlds.of(job);
        Jobs.Stored stored = jobs.load(job);
        Standpoint from = standpoint(world, stored);
        return new WorldView(
                choice.wire(),
                choice.words(),
                worlds.offered().stream().map(WorldChoice::wire).toList(),
                from.reaches(),
                from.addresses(),
                from.cautions(),
                from.findings().stream().map(FindingWords::beside).toList(),
                worlds.serialPort(job).orElse(""),
                choice == WorldChoice.LIVE ? SerialPorts.there() : List.of());
    }

    /** A port of this machine takes the place of the serial server, on the live network. */
    @PutMapping("/serial-port")
    @Needs(Right.MANAGE)
    WorldView chooseSerialPort(
            @PathVariable("job") long job,
            @RequestBody SerialPortBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        if (!body.path().isEmpty() && !PORT.matcher(body.path()).matches()) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    Words.say("refused.serial-port"),
                    Map.of("field", "path"));
        }
        if (worlds.choice(job) != WorldChoice.LIVE) {
            throw new Problem(HttpStatus.CONFLICT, "not-live", Words.say("refused.serial-live"));
        }
        worlds.chooseSerialPort(job, body.path(), person);
        live.changed(job, Notice.WORLD);
        return view(job);
    }

    /** A world that does not answer just now is still the one that is chosen. */
    private static Standpoint standpoint(World world, Jobs.Stored stored) {
        try {
            return world.standpoint(stored);
        } catch (Problem silent) {
            return new Standpoint("", List.of(), List.of(silent.getMessage()), List.of());
        }
    }

    @PutMapping
    @Needs(Right.MANAGE)
    WorldView choose(
            @PathVariable("job") long job,
            @RequestBody WorldBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        WorldChoice choice =
                WorldChoice.fromWire(body.world())
                        .orElseThrow(
                                () ->
                                        new Problem(
                                                HttpStatus.BAD_REQUEST,
                                                "bad-value",
                                                Words.say("refused.world"),
                                                Map.of("field", "world")));
        if (choice == WorldChoice.LIVE && !body.confirmed()) {
            throw new Problem(
                    HttpStatus.CONFLICT, "not-confirmed", Words.say("refused.live-unconfirmed"));
        }
        worlds.choose(job, choice, person);
        live.changed(job, Notice.WORLD);
        return view(job);
    }
}
