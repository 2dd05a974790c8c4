package app.jerboa.server.discovery;

import app.jerboa.core.job.discovery.Found;
import app.jerboa.core.job.discovery.Sweep;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.run.RunKind;
import app.jerboa.server.run.RunRow;
import app.jerboa.server.run.Runs;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.World;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.Worlds;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Looks at the network of a job: begun, seen, cancelled. */
@Service
class Discoveries {
    private static final TypeReference<List<Found>> FOUND = new TypeReference<>() {};

    private final Runs runs;
    private final Jobs jobs;
    private final Worlds worlds;
    private final Observations observations;
    private final Logbook log;
    private final TransactionTemplate transactions;
    private final JsonMapper json;

    Discoveries(
            Runs runs,
            Jobs jobs,
            Worlds worlds,
            Observations observations,
            Logbook log,
            TransactionTemplate transactions,
            JsonMapper json) {
        this.runs = runs;
        this.jobs = jobs;
        this.worlds = worlds;
        this.observations = observations;
        this.log = log;
        this.transactions = transactions;
        this.json = json;
    }

    Optional<RunRow> last(long job) {
        return runs.run(job, RunKind.DISCOVERY);
    }

    /** What has answered, by address; so far, of one that is under way. */
    List<Found> found(RunRow run) {
        return json.readValue(run.result(), FOUND);
    }

    List<String> asked(RunRow run) {
        return json.readValue(run.tasks(), new TypeReference<List<String>>() {});
    }

    /**
     * @param confirmed a person said that this network may be looked through
     */
    void start(Jobs.Stored stored, List<Ipv4Subnet> subnets, boolean confirmed, Person by) {
        long job = stored.id();
        World world = worlds.of(job);
        Sweep sweep = Sweep.of(stored.job(), subnets);
        if (sweep.addresses().isEmpty()) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    Words.say("discovery.no-subnet"),
                    Map.of("field", "subnets"));
        }
        if (world.which() == WorldChoice.LIVE && !confirmed) {
            throw new Problem(
                    HttpStatus.CONFLICT, "not-confirmed", Words.say("discovery.not-confirmed"));
        }
        // Says in words when there is no network to look at.
        world.look(stored, sweep.addresses().get(0));
        transactions.executeWithoutResult(
                t -> {
                    log.claim(by);
                    List<String> asked = sweep.addresses().stream().map(a -> a.toString()).toList();
                    runs.begin(job, RunKind.DISCOVERY, by.displayName(), asked);
                    log.event(
                            job,
                            Words.say(
                                    "discovery.started",
                                    Map.of(
                                            "count", asked.size(),
                                            "subnets",
                                                    subnets.stream()
                                                            .map(Object::toString)
                                                            .toList())),
                            List.of(),
                            by);
                });
        runs.carryOut(
                job,
                RunKind.DISCOVERY,
                new Discovery(jobs, observations, world, stored, sweep, by));
    }

    void cancel(long job) {
        runs.cancel(job, RunKind.DISCOVERY);
    }
}
