package app.jerboa.server.site;

import app.jerboa.core.job.Job;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.paste.LaptopInterface;
import app.jerboa.core.net.paste.Neighbour;
import app.jerboa.core.net.paste.NeighbourTable;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Reads what is pasted and says what it means for this job; takes nothing over by itself. */
@RestController
@RequestMapping("/api/jobs/{job}/site")
class SiteController {
    private static final int LONGEST = 200_000;

    record Pasted(String text) {}

    /** What was seen, and the lines that were not taken. */
    record NeighboursView(List<NeighbourBody> neighbours, List<RefusedBody> refused) {}

    /**
     * A device seen in the house.
     *
     * @param state new, or why there is nothing to take over: known, ours, gateway, laptop, outside
     */
    record NeighbourBody(String address, String mac, String name, String state) {}

    record RefusedBody(int line, String text, String reason) {}

    /** Where the laptop is; gateway empty when the print-out has none. */
    record InterfaceBody(String address, String cidr, String gateway) {}

    private final Jobs jobs;

    SiteController(Jobs jobs) {
        this.jobs = jobs;
    }

    @PostMapping("/neighbours")
    @Needs(Right.READ)
    NeighboursView neighbours(@PathVariable("job") long job, @RequestBody Pasted body) {
        Job known = jobs.load(job).job();
        NeighbourTable table = NeighbourTable.parse(bounded(body));
        return new NeighboursView(
                table.neighbours().stream().map(n -> neighbour(known, n)).toList(),
                table.refused().stream()
                        .map(r -> new RefusedBody(r.line(), r.text(), Words.say(r.reason())))
                        .toList());
    }

    private static NeighbourBody neighbour(Job job, Neighbour n) {
        return new NeighbourBody(n.address().toString(), n.mac(), n.name(), state(job, n));
    }

    private static String state(Job job, Neighbour n) {
        Ipv4 address = n.address();
        var home = job.subnets().get(0);
        if (!home.range().isHost(address)) {
            return "outside";
        } else if (address.equals(home.gateway())) {
            return "gateway";
        } else if (address.equals(home.laptopHome())) {
            return "laptop";
        } else if (job.devices().stream()
                .anyMatch(d -> !n.mac().isEmpty() && d.mac().equals(n.mac()))) {
            return "ours";
        }
        boolean known = job.ranges().stream().anyMatch(r -> r.range().contains(address));
        return known ? "known" : "new";
    }

    @PostMapping("/interfaces")
    @Needs(Right.READ)
    List<InterfaceBody> interfaces(@PathVariable("job") long job, @RequestBody Pasted body) {
        return LaptopInterface.parse(bounded(body)).stream()
                .map(
                        i ->
                                new InterfaceBody(
                                        i.address().toString(),
                                        i.subnet().toString(),
                                        i.gateway().map(Ipv4::toString).orElse("")))
                .toList();
    }

    private static String bounded(Pasted body) {
        return Optional.of(body.text())
                .filter(t -> t.length() <= LONGEST)
                .orElseThrow(
                        () ->
                                new Problem(
                                        HttpStatus.BAD_REQUEST,
                                        "bad-value",
                                        Words.say("refused.paste-long", Map.of("most", LONGEST)),
                                        Map.of("field", "text")));
    }
}
