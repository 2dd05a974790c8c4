package app.jerboa.server.preset;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.shot.PresetMoving;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Presets;
import app.jerboa.server.change.Commands;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.preset.RowBodies.RowRunBody;
import app.jerboa.server.preset.RowBodies.RowSoFar;
import app.jerboa.server.preset.RowBodies.RowStart;
import app.jerboa.server.run.RunKind;
import app.jerboa.server.run.RunRow;
import app.jerboa.server.run.Runs;
import app.jerboa.server.words.Words;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Rows of stored views: checked, written back, and copied to another camera. */
@Service
class Rows {
    private static final Logger LOG = LoggerFactory.getLogger(Rows.class);

    private final Runs runs;
    private final MachineDesks desks;
    private final Commands commands;
    private final RowRun.Tools tools;
    private final Logbook log;
    private final JsonMapper json;
    private final TransactionTemplate transactions;

    Rows(
            Runs runs,
            MachineDesks desks,
            Commands commands,
            RowRun.Tools tools,
            Logbook log,
            JsonMapper json,
            TransactionTemplate transactions) {
        this.runs = runs;
        this.desks = desks;
        this.commands = commands;
        this.tools = tools;
        this.log = log;
        this.json = json;
        this.transactions = transactions;
    }

    RowRunBody view(long job) {
        Optional<RunRow> run = runs.run(job, RunKind.VIEWS);
        RowSoFar soFar =
                run.map(RunRow::result)
                        .filter(r -> r.startsWith("{"))
                        .map(r -> json.readValue(r, RowSoFar.class))
                        .orElse(RowSoFar.NONE);
        return new RowRunBody(
                run.map(RunRow::stateNow).orElse("none"),
                run.map(RunRow::person).orElse(""),
                soFar.device(),
                soFar.what(),
                run.map(RunRow::done).orElse(0),
                run.map(RunRow::count).orElse(0),
                run.map(RunRow::doing).orElse(""),
                run.map(RunRow::why).orElse(""),
                soFar.results());
    }

    /** Those that were read once, by number. */
    static List<Preset> read(Job job, Device camera) {
        return job.presets().stream()
                .filter(p -> p.camera().equals(camera.id()))
                .filter(p -> p.kept().pan().isPresent() && p.kept().tilt().isPresent())
                .sorted(Comparator.comparingInt(Preset::number))
                .toList();
    }

    void start(Jobs.Stored stored, Device camera, RowStart start, Person by, String httpSession) {
        List<Preset> presets = read(stored.job(), camera);
        if (presets.isEmpty()) {
            throw conflict("no-views", Words.say("row.no-views", Map.of("camera", camera.name())));
        }
        if (!start.clear()) {
            throw conflict("not-clear", Words.say("shot.not-clear"));
        }
        if (!Set.of(RowRun.WRITE, RowRun.CHECK).contains(String.valueOf(start.what()))) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    Words.say("row.what"),
                    Map.of("field", "what"));
        }
        long job = stored.id();
        long device = camera.id().value();
        desks.handOver(job, device, by, Words.say("row.taken", Map.of("camera", camera.name())));
        RowRun run =
                new RowRun(
                        tools,
                        stored,
                        camera,
                        presets,
                        start.what(),
                        by,
                        httpSession,
                        written -> keptNow(job, written, by));
        List<Integer> tasks = presets.stream().map(Preset::number).toList();
        transactions.executeWithoutResult(
                t -> {
                    runs.begin(job, RunKind.VIEWS, by.displayName(), tasks);
                    log.event(
                            job,
                            Words.say(
                                    "row.started." + start.what(),
                                    Map.of("camera", camera.name(), "count", presets.size())),
                            List.of(device),
                            by);
                    desks.clear(job, List.of(device), by);
                });
        runs.carryOut(job, RunKind.VIEWS, run);
    }

    /** Those that the camera keeps from now on, in one change. */
    private void keptNow(long job, List<Preset> written, Person by) {
        String at = Instant.now().truncatedTo(ChronoUnit.SECONDS).toString();
        List<Edit> edits = new ArrayList<>();
        for (Preset p : written) {
            Item before = JobItems.item(p);
            edits.add(edit(before, Field.KEPT_AT, at));
            edits.add(edit(before, Field.KEPT_BY, by.displayName()));
        }
        edits.removeIf(e -> e.before().equals(e.after()));
        try {
            commands.apply(job, now -> still(now.job(), edits), by);
        } catch (Problem nobodyKeepsThemAnyMore) {
            LOG.info("what was written is not noted: {}", nobodyKeepsThemAnyMore.getMessage());
        }
    }

    /** Of those that nobody struck meanwhile. */
    private static ChangeSet still(Job now, List<Edit> edits) {
        return ChangeSet.edits(edits.stream().filter(e -> now.item(e.item()).isPresent()).toList());
    }

    private static Edit edit(Item before, Field field, String after) {
        return new Edit(before.ref(), field, before.text(field), after);
    }

    void cancel(long job) {
        runs.cancel(job, RunKind.VIEWS);
    }

    /**
     * Another camera is to have the same views: they are noted for it, and stored when its row is
     * written.
     */
    Commands.Done copy(Jobs.Stored stored, Device from, Device to, Person by) {
        Presets can =
                to.profile()
                        .presets()
                        .filter(p -> to.profile().head().isPresent())
                        .orElseThrow(() -> Problem.notFound("preset"));
        return commands.apply(
                stored.id(),
                now -> {
                    Set<Integer> there =
                            now.job().presets().stream()
                                    .filter(p -> p.camera().equals(to.id()))
                                    .map(Preset::number)
                                    .collect(Collectors.toSet());
                    List<Item> adds = new ArrayList<>();
                    for (Preset p : read(now.job(), from)) {
                        if (can.holds(p.number()) && !there.contains(p.number())) {
                            ItemRef ref =
                                    new ItemRef(ItemKind.PRESET, now.nextItem() + adds.size());
                            adds.add(
                                    JobItems.item(p)
                                            .numbered(ref.id())
                                            .with(Field.PRESET_CAMERA, to.id().toString())
                                            .with(Field.KEPT_AT, "")
                                            .with(Field.KEPT_BY, ""));
                        }
                    }
                    if (adds.isEmpty()) {
                        throw conflict(
                                "nothing-to-copy",
                                Words.say(
                                        "row.nothing-to-copy",
                                        Map.of("from", from.name(), "to", to.name())));
                    }
                    return ChangeSet.adding(adds.toArray(Item[]::new));
                },
                by);
    }

    /**
     * A view gets another number, as an edit of the plan; the camera is told when its row is
     * written.
     */
    Commands.Done move(long job, Device camera, int number, int to, Person by) {
        Presets can = camera.profile().presets().orElseThrow(() -> Problem.notFound("preset"));
        if (!can.holds(to) || to == number) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    Words.say(
                            "preset.cannot-move",
                            Map.of(
                                    "camera", camera.name(),
                                    "number", Integer.toString(to),
                                    "last", Integer.toString(can.count() - 1))),
                    Map.of("field", "to"));
        }
        return commands.apply(
                job,
                now ->
                        PresetMoving.to(
                                now.job(),
                                now.job().presets().stream()
                                        .filter(p -> p.camera().equals(camera.id()))
                                        .filter(p -> p.number() == number)
                                        .findFirst()
                                        .orElseThrow(() -> Problem.notFound("preset")),
                                to),
                by);
    }

    private static Problem conflict(String code, String sentence) {
        return new Problem(HttpStatus.CONFLICT, code, sentence, Map.of());
    }
}
