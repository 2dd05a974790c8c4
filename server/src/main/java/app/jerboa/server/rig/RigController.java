package app.jerboa.server.rig;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.WorldClock;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.Worlds;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Hands in the simulated hall: leads, the laptop's address, the pace of its clock. */
@RestController
@RequestMapping("/api/jobs/{job}/rig")
class RigController {
    /** Connected false when this job is not worked in a rig; then all else is empty. */
    record RigView(boolean connected, double speed, String laptop, List<RigDeviceBody> devices) {}

    /**
     * One device in the hall; phase off, booting or up.
     *
     * @param power on, none needed, unplugged, or no power arrives
     */
    record RigDeviceBody(
            long id,
            String name,
            String phase,
            double secondsToBoot,
            String address,
            String power) {}

    record PlugBody(boolean plugged) {}

    /** How the hall begins anew: unplugged, or as-planned. */
    record RigBeginBody(String how) {}

    record RigLaptopBody(String address, int prefix) {}

    record SpeedBody(double speed) {}

    private final RigClient rig;
    private final RigHall hall;
    private final Jobs jobs;
    private final Live live;
    private final Worlds worlds;

    RigController(RigClient rig, RigHall hall, Jobs jobs, Live live, Worlds worlds) {
        this.worlds = worlds;
        this.rig = rig;
        this.hall = hall;
        this.jobs = jobs;
        this.live = live;
    }

    /** Whoever else looks at the hall hears of it. */
    private RigView told(long job, RigView view) {
        live.changed(job, Notice.HALL);
        return view;
    }

    @GetMapping
    RigView view(@PathVariable("job") long job) {
        if (!rig.configured() || worlds.choice(job) != WorldChoice.RIG) {
            return new RigView(false, 1, "", List.of());
        }
        return view(hall.of(jobs.load(job)));
    }

    private RigView view(RigBodies.Hall seen) {
        RigBodies.Network laptop = seen.laptop();
        return new RigView(
                true,
                rig.clock().speed(),
                laptop.text(),
                seen.devices().stream().map(RigController::device).toList());
    }

    private static RigDeviceBody device(RigBodies.Device d) {
        return new RigDeviceBody(
                Long.parseLong(d.id()),
                d.name(),
                d.phase().toLowerCase(Locale.ROOT),
                d.secondsToBoot(),
                d.settings().known().map(Ipv4::toString).orElse(""),
                d.power());
    }

    @PutMapping("/devices/{device}/plug")
    @Needs(Right.PLAN)
    RigView plug(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @RequestBody PlugBody body) {
        Jobs.Stored stored = jobs.load(job);
        stored.need(device);
        hall.furnish(stored);
        return told(job, view(rig.plug(job, device, body.plugged(), true)));
    }

    /** Puts the lead of a camera on the serial server that the desk reaches it through. */
    @PutMapping("/devices/{device}/lead")
    @Needs(Right.PLAN)
    RigView lead(@PathVariable("job") long job, @PathVariable("device") long device) {
        Jobs.Stored stored = jobs.load(job);
        Device camera = stored.need(device);
        hall.furnish(stored);
        LeadHand move =
                LeadHand.out(stored.job(), camera)
                        .orElseThrow(
                                () ->
                                        new Problem(
                                                HttpStatus.CONFLICT,
                                                "lead-is-there",
                                                Words.say(
                                                        "refused.lead-fine",
                                                        Map.of("device", camera.name()))));
        return told(job, view(rig.moveEnd(job, move.run(), move.to())));
    }

    /** Puts the hall back: everything in its box, or everything set and plugged as planned. */
    @PutMapping("/begin")
    @Needs(Right.PLAN)
    RigView begin(@PathVariable("job") long job, @RequestBody RigBeginBody body) {
        hall.furnish(jobs.load(job));
        if (!List.of("unplugged", "as-planned").contains(body.how())) {
            throw badValue("how", Words.say("refused.hall-begins"));
        }
        return told(job, view(rig.begin(job, body.how())));
    }

    @PutMapping("/laptop")
    @Needs(Right.PLAN)
    RigView laptop(@PathVariable("job") long job, @RequestBody RigLaptopBody body) {
        hall.furnish(jobs.load(job));
        if (body.prefix() < Ipv4Subnet.WIDEST || body.prefix() > Ipv4Subnet.NARROWEST) {
            throw badValue("prefix", Words.say("refused.prefix"));
        }
        Ipv4 address = Ipv4.parse(body.address());
        RigBodies.Network there = new RigBodies.Network(address.toString(), body.prefix(), "");
        return told(job, view(rig.moveLaptop(job, there)));
    }

    @PutMapping("/speed")
    @Needs(Right.PLAN)
    RigView speed(@PathVariable("job") long job, @RequestBody SpeedBody body) {
        if (!(body.speed() >= WorldClock.SLOWEST && body.speed() <= WorldClock.FASTEST)) {
            throw badValue("speed", Words.say("refused.clock"));
        }
        rig.setSpeed(body.speed());
        return told(job, view(job));
    }

    private static Problem badValue(String field, String sentence) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", sentence, Map.of("field", field));
    }
}
