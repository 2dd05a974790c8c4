package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Contacts;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The address-set of a chain: every camera on it takes a number in the order of the leads. A lead
 * presses for it, and nobody may be driving one of them meanwhile.
 */
@RestController
@RequestMapping("/api/jobs/{job}/wire/chain")
class ChainController {
    private static final int LEASE_SECONDS = 8;
    private static final int PATIENCE_SECONDS = 4;

    /** A camera of the chain. */
    record ChainBody(long device) {}

    /**
     * @param cameras that took a number; null when nothing came back
     * @param planned on that lead
     */
    record ChainAnswer(OptionalInt cameras, int planned, String words) {}

    private final Jobs jobs;
    private final CameraLinks links;
    private final Contacts contacts;
    private final DeskMapper mapper;
    private final Logbook log;
    private final String server;

    ChainController(
            Jobs jobs,
            CameraLinks links,
            Contacts contacts,
            DeskMapper mapper,
            Logbook log,
            Settings settings) {
        this.contacts = contacts;
        this.jobs = jobs;
        this.links = links;
        this.mapper = mapper;
        this.log = log;
        this.server = settings.serverName();
    }

    @PostMapping
    @Needs(Right.MANAGE)
    ChainAnswer number(
            @PathVariable("job") long job,
            @RequestBody ChainBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        Device device = stored.need(body.device());
        DeskWay way = contacts.ways(stored).to(device);
        if (!(way instanceof DeskWay.OverLine chain) || chain.protocol() != Protocol.VISCA_SERIAL) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-chain",
                    Words.say("refused.no-chain", Map.of("device", device.name())));
        }
        OptionalInt count = withLeases(stored, chain, (Person) by, device);
        int planned = chain.line().cameras().size();
        String words =
                Words.say(
                        count.isPresent() ? "chain.numbered" : "chain.silent",
                        Map.of(
                                "count", count.orElse(0),
                                "planned", planned,
                                "server", chain.from().name()));
        log.event(
                job, words, chain.line().cameras().stream().map(d -> d.id().value()).toList(), by);
        return new ChainAnswer(count, planned, words);
    }

    private OptionalInt withLeases(
            Jobs.Stored stored, DeskWay.OverLine chain, Person by, Device device) {
        String holder = "chain:" + server;
        List<CameraId> held = new ArrayList<>();
        try {
            for (Device camera : chain.line().cameras()) {
                CameraId id = new CameraId(stored.id(), camera.id().value());
                if (mapper.takeLease(id, server, holder, by.displayName(), LEASE_SECONDS) != 1) {
                    throw new Problem(
                            HttpStatus.CONFLICT,
                            "driven",
                            Words.say(
                                    "refused.chain-driven",
                                    Map.of(
                                            "person",
                                            mapper.leaseHolder(id).orElse("Somebody"),
                                            "device",
                                            camera.name())));
                }
                held.add(id);
            }
            return count(stored, chain, device);
        } finally {
            held.forEach(id -> mapper.releaseLease(id, holder));
        }
    }

    private OptionalInt count(Jobs.Stored stored, DeskWay.OverLine chain, Device device) {
        try {
            return OptionalInt.of(
                    links.numberChain(stored, chain, device.id().value())
                            .get(PATIENCE_SECONDS, TimeUnit.SECONDS));
        } catch (ExecutionException | TimeoutException e) {
            return OptionalInt.empty();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return OptionalInt.empty();
        }
    }
}
