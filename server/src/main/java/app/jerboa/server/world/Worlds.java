package app.jerboa.server.world;

import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which world a job is worked in: nobody's until somebody with the right chooses. */
@Service
public class Worlds {
    private final List<World> worlds;
    private final WorldMapper mapper;
    private final Logbook log;

    Worlds(List<World> worlds, WorldMapper mapper, Logbook log) {
        this.worlds = worlds;
        this.mapper = mapper;
        this.log = log;
    }

    public WorldChoice choice(long job) {
        return mapper.of(job).flatMap(WorldChoice::fromWire).orElse(WorldChoice.NONE);
    }

    /** The world of a job, or one in which nothing can be reached, which says why. */
    public World of(long job) {
        WorldChoice choice = choice(job);
        return there(choice).orElseGet(() -> new NoWorld(choice));
    }

    private Optional<World> there(WorldChoice choice) {
        return worlds.stream().filter(w -> w.which() == choice && w.there()).findFirst();
    }

    /** Those that this server offers. */
    public List<WorldChoice> offered() {
        return worlds.stream().filter(World::there).map(World::which).sorted().toList();
    }

    /**
     * @throws Problem for a world that this server does not offer
     */
    @Transactional
    public void choose(long job, WorldChoice choice, Author by) {
        if (there(choice).isEmpty() && choice != WorldChoice.NONE) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-such-world",
                    choice == WorldChoice.RIG
                            ? NoWorld.WITHOUT_RIG
                            : Words.say("refused.live-barred"));
        }
        WorldChoice before = choice(job);
        if (before != choice) {
            mapper.choose(job, choice.wire());
            log.event(
                    job,
                    Words.say(
                            "logged.world",
                            Map.of("now", choice.words(), "before", before.words())),
                    List.of(),
                    by);
        }
    }

    /** The port of this machine that the job's serial leads are on, on the live network only. */
    public Optional<String> serialPort(long job) {
        return mapper.serialPort(job, WorldChoice.LIVE.wire()).filter(p -> !p.isEmpty());
    }

    /**
     * @param path empty for none
     */
    @Transactional
    public void chooseSerialPort(long job, String path, Author by) {
        mapper.chooseSerialPort(job, path);
        String words =
                path.isEmpty()
                        ? Words.say("logged.serial-server")
                        : Words.say("logged.serial-port", Map.of("port", path));
        log.event(job, words, List.of(), by);
    }

    /** A job made from the demo starts in the rig, where there is one. */
    @Transactional
    public void startInRig(long job) {
        if (there(WorldChoice.RIG).isPresent()) {
            mapper.choose(job, WorldChoice.RIG.wire());
        }
    }
}
