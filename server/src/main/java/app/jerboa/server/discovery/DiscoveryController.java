package app.jerboa.server.discovery;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.discovery.Found;
import app.jerboa.core.job.discovery.Match;
import app.jerboa.core.job.discovery.Matching;
import app.jerboa.core.job.discovery.Sweep;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.Kebab;
import app.jerboa.core.value.TextRejected;
import app.jerboa.server.discovery.DiscoveryBodies.DiscoveryView;
import app.jerboa.server.discovery.DiscoveryBodies.FoundBody;
import app.jerboa.server.discovery.DiscoveryBodies.LookBody;
import app.jerboa.server.discovery.DiscoveryBodies.LookDevice;
import app.jerboa.server.discovery.DiscoveryBodies.LookSubnet;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.run.RunRow;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.Worlds;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who is on the network of a job, beside who should be. */
@RestController
@RequestMapping("/api/jobs/{job}/discovery")
class DiscoveryController {
    private static final List<String> EATERS =
            List.of("firewall", "laptop", "power", "subnet", "snooping", "radio");

    private final Discoveries discoveries;
    private final Jobs jobs;
    private final Worlds worlds;

    DiscoveryController(Discoveries discoveries, Jobs jobs, Worlds worlds) {
        this.discoveries = discoveries;
        this.jobs = jobs;
        this.worlds = worlds;
    }

    /** The last look, matched with the plan as it is now. */
    @GetMapping
    DiscoveryView view(@PathVariable("job") long job) {
        Jobs.Stored stored = jobs.load(job);
        Optional<RunRow> run = discoveries.last(job);
        List<Found> found = run.map(discoveries::found).orElse(List.of());
        List<Match> matches = Matching.of(stored.job(), found);
        String state = run.map(RunRow::stateNow).orElse("none");
        boolean nothing = state.equals("done") && found.isEmpty();
        return new DiscoveryView(
                state,
                run.map(RunRow::person).orElse(""),
                run.map(RunRow::done).orElse(0),
                run.map(RunRow::count).orElse(0),
                run.map(RunRow::doing).orElse(""),
                run.map(RunRow::why).orElse(""),
                matches.stream().map(DiscoveryController::body).toList(),
                run.filter(r -> !state.equals("running"))
                        .map(r -> missing(stored, r, matches))
                        .orElse(List.of()),
                nothing
                        ? EATERS.stream().map(e -> Words.say("discovery.eats." + e)).toList()
                        : List.of(),
                subnets(stored),
                worlds.choice(job) == WorldChoice.LIVE);
    }

    private static List<LookSubnet> subnets(Jobs.Stored stored) {
        return stored.job().subnets().stream()
                .map(
                        s -> {
                            Sweep sweep = Sweep.of(stored.job(), List.of(s.range()));
                            return new LookSubnet(
                                    s.range().toString(),
                                    s.name(),
                                    sweep.addresses().size(),
                                    sweep.leftOut(),
                                    sweep.seconds());
                        })
                .toList();
    }

    private List<LookDevice> missing(Jobs.Stored stored, RunRow run, List<Match> matches) {
        List<Ipv4> asked =
                discoveries.asked(run).stream().limit(run.done()).map(Ipv4::parse).toList();
        return Matching.missing(stored.job(), new Sweep(asked, 0), matches).stream()
                .map(DiscoveryController::body)
                .toList();
    }

    private static LookDevice body(Device d) {
        return new LookDevice(
                d.id().value(), d.name(), d.address().map(Ipv4::toString).orElse(""), d.mac());
    }

    private static FoundBody body(Match m) {
        Found f = m.found();
        Optional<Found.SelfPortrait> told = f.told();
        return new FoundBody(
                f.address().toString(),
                List.copyOf(f.macs()),
                Stream.of(Found.Service.values())
                        .filter(f.services()::contains)
                        .map(Kebab::of)
                        .toList(),
                told.map(Found.SelfPortrait::name).orElse(""),
                told.map(Found.SelfPortrait::hardware).orElse(""),
                told.map(Found.SelfPortrait::serialNumber).orElse(""),
                m.device().map(DiscoveryController::body),
                m.by().wire(),
                m.verdict().wire(),
                words(m),
                m.candidates().stream().map(DiscoveryController::body).toList());
    }

    private static String words(Match m) {
        String among = m.candidates().stream().map(Device::name).collect(Collectors.joining(", "));
        String key =
                m.verdict() == Match.Verdict.UNKNOWN && !among.isEmpty()
                        ? "perhaps"
                        : m.verdict().wire();
        return Words.say(
                "discovery.is." + key,
                Map.of(
                        "device", m.device().map(Device::name).orElse(""),
                        "planned",
                                m.device().flatMap(Device::address).map(Ipv4::toString).orElse(""),
                        "address", m.found().address(),
                        "macs", String.join(" and ", m.found().macs()),
                        "house", m.house(),
                        "among", among,
                        "count", m.candidates().size()));
    }

    @PostMapping("/start")
    @Needs(Right.PLAN)
    DiscoveryView start(
            @PathVariable("job") long job,
            @RequestBody LookBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        List<Ipv4Subnet> subnets =
                Optional.ofNullable(body.subnets()).orElse(List.of()).stream()
                        .map(DiscoveryController::subnet)
                        .toList();
        discoveries.start(jobs.load(job), subnets, body.confirmed(), person);
        return view(job);
    }

    private static Ipv4Subnet subnet(String text) {
        try {
            return Ipv4Subnet.parse(String.valueOf(text));
        } catch (TextRejected e) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    e.getMessage(),
                    Map.of("field", "subnets"));
        }
    }

    /** What was found up to then stays. */
    @PostMapping("/cancel")
    @Needs(Right.PLAN)
    DiscoveryView cancel(@PathVariable("job") long job) {
        discoveries.cancel(job);
        return view(job);
    }
}
