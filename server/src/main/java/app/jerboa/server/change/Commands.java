package app.jerboa.server.change;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.item.Tidy;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.ChangeConflict;
import app.jerboa.core.job.edit.ItemMissing;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.edit.LimitRules;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every change to a job goes through here: applied in one transaction, stored with its author and
 * all that its inverse needs, told to whoever looks on, written into the logbook; and taken back
 * from the same store. Each answers with the job as it is then.
 */
@Service
public class Commands {
    /** A job as it was and as it is. */
    public record Done(Jobs.Stored before, Jobs.Stored after) {}

    /** A job as it is, and its plan as it would be. */
    public record Trial(Jobs.Stored before, Job after) {}

    /** Read from a camera, never typed. */
    private static final Set<Field> MEASURED =
            EnumSet.of(
                    Field.KEPT_PAN,
                    Field.KEPT_TILT,
                    Field.KEPT_ZOOM,
                    Field.KEPT_KNOBS,
                    Field.KEPT_AT,
                    Field.KEPT_BY);

    private final CommandMapper mapper;
    private final Jobs jobs;
    private final DriversItems drivers;
    private final Logbook log;
    private final JsonMapper json;

    Commands(CommandMapper mapper, Jobs jobs, DriversItems drivers, Logbook log, JsonMapper json) {
        this.drivers = drivers;
        this.mapper = mapper;
        this.jobs = jobs;
        this.log = log;
        this.json = json;
    }

    /** The job as it is and as it would be; nothing is stored. */
    public Trial preview(long job, ChangesBody body) {
        Jobs.Stored stored = jobs.load(job);
        return new Trial(stored, edited(stored.job(), changeSet(stored, body)));
    }

    /** What a person or a fix wants, with its items numbered and what it removes filled in. */
    @Transactional
    public Done apply(long job, ChangesBody body, Author by) {
        log.claim(by);
        Jobs.Stored stored = jobs.lock(job);
        insistOnOwnNumbers(body);
        ChangeSet changes = changeSet(stored, body);
        insistOnOwnFields(changes);
        drivers.insist(job, changes, by);
        return apply(stored, changes, by);
    }

    /** A change that the product itself words, for example a waiver. */
    @Transactional
    public Done apply(long job, ChangeSet changes, Author by) {
        log.claim(by);
        Jobs.Stored stored = jobs.lock(job);
        return apply(stored, changes.numbered(stored.nextItem()), by);
    }

    /**
     * As above, for changes that are worked out from the job as it is when nobody else can change
     * it.
     */
    @Transactional
    public Done apply(long job, Function<Jobs.Stored, ChangeSet> wanted, Author by) {
        log.claim(by);
        Jobs.Stored stored = jobs.lock(job);
        return apply(stored, wanted.apply(stored), by);
    }

    private Done apply(Jobs.Stored stored, ChangeSet changes, Author by) {
        if (changes.isEmpty()) {
            throw Refusals.noChange();
        }
        Job after = edited(stored.job(), changes);
        String label = CommandWords.label(stored.job(), changes);
        mapper.insertCommand(
                stored.id(),
                by.id(),
                by.displayName(),
                label,
                json.writeValueAsString(StoredChanges.of(changes)));
        Done done = new Done(stored, jobs.store(stored, after, changes));
        log.command(stored.id(), "change", label, CommandWords.devices(changes), by);
        return done;
    }

    private static ChangeSet changeSet(Jobs.Stored stored, ChangesBody body) {
        try {
            List<Item> removes = JobEditor.standing(stored.job(), body.refsToRemove());
            String units = stored.job().site().units();
            List<Item> adds = body.itemsToAdd().stream().map(i -> tidy(i, units)).toList();
            List<Edit> edits = body.toEdits().stream().map(e -> tidy(e, units)).toList();
            return new ChangeSet(adds, edits, removes).numbered(stored.nextItem());
        } catch (ItemMissing e) {
            throw Problem.notFound(e.item().kind().wire());
        }
    }

    private static Item tidy(Item item, String units) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        item.values().forEach((f, text) -> texts.put(f, Tidy.tidy(f.type(), text, units)));
        return new Item(item.ref(), texts);
    }

    private static Edit tidy(Edit e, String units) {
        String after = Tidy.tidy(e.field().type(), e.after(), units);
        return new Edit(e.item(), e.field(), e.before(), after);
    }

    /** What the product signs itself is not for others to write. */
    private static void insistOnOwnFields(ChangeSet changes) {
        boolean signed =
                Stream.concat(
                                changes.adds().stream().map(Item::ref),
                                changes.edits().stream().map(Edit::item))
                        .anyMatch(Commands::isSigned);
        boolean measured =
                changes.edits().stream().anyMatch(e -> MEASURED.contains(e.field()))
                        || changes.adds().stream()
                                .filter(a -> a.ref().kind() == ItemKind.PRESET)
                                .anyMatch(
                                        a -> MEASURED.stream().anyMatch(f -> !a.text(f).isEmpty()));
        if (signed || measured) {
            throw Refusals.notYours();
        }
    }

    /** A new item comes with a number below 0, which stands for the one that is given here. */
    private static void insistOnOwnNumbers(ChangesBody body) {
        if (body.adds().stream().anyMatch(a -> a.id() >= 0)) {
            throw Refusals.notYours();
        }
    }

    /** Waivers and ticks carry a name; secrets are sealed here. */
    private static boolean isSigned(ItemRef ref) {
        return ref.kind() == ItemKind.WAIVER
                || ref.kind() == ItemKind.PREPARED
                || ref.kind() == ItemKind.SECRET;
    }

    @Transactional(noRollbackFor = Problem.class)
    public Done undo(long job, Author by) {
        log.claim(by);
        Jobs.Stored stored = jobs.lock(job);
        CommandRow command =
                mapper.newestDone(job, by.id()).orElseThrow(() -> Refusals.nothingTo("undo"));
        return again(
                stored, command, "undone", "undo", "change.undone", read(command).inverse(), by);
    }

    @Transactional(noRollbackFor = Problem.class)
    public Done redo(long job, Author by) {
        log.claim(by);
        Jobs.Stored stored = jobs.lock(job);
        CommandRow command =
                mapper.oldestUndone(job, by.id()).orElseThrow(() -> Refusals.nothingTo("redo"));
        return again(stored, command, "done", "redo", "change.redone", read(command), by);
    }

    private Done again(
            Jobs.Stored stored,
            CommandRow command,
            String state,
            String kind,
            String words,
            ChangeSet changes,
            Author by) {
        drivers.insist(stored.id(), changes, by);
        Job after;
        try {
            after = jobs.editor().apply(stored.job(), changes);
        } catch (ChangeConflict | ItemMissing | ItemRejected e) {
            mapper.setCommandState(command.id(), "lapsed");
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-longer-" + kind,
                    Words.say(
                            "refused.again",
                            Map.of("why", why(stored, command, e), "what", command.label())));
        }
        mapper.setCommandState(command.id(), state);
        Done done = new Done(stored, jobs.store(stored, after, changes));
        log.command(
                stored.id(),
                kind,
                Words.say(words, Map.of("what", command.label())),
                CommandWords.devices(changes),
                by);
        return done;
    }

    /** Why a command can no longer be taken back or done again, naming who came in between. */
    private String why(Jobs.Stored stored, CommandRow command, RuntimeException e) {
        if (e instanceof ChangeConflict c) {
            Edit edit = c.edit();
            String part =
                    json.writeValueAsString(
                            Map.of(
                                    "edits",
                                    List.of(
                                            Map.of(
                                                    "item", edit.item().kind().wire(),
                                                    "id", edit.item().id(),
                                                    "field", edit.field().wire()))));
            Optional<String> by = mapper.overtaking(stored.id(), command.id(), part);
            return Refusals.since(stored.job(), c, by);
        }
        return e instanceof ItemRejected r
                ? Words.say("refused.needed", Map.of("item", Refusals.name(stored.job(), r.item())))
                : Words.say("refused.gone");
    }

    /** What is wished anew heeds more than what is taken back: that was so before. */
    private Job edited(Job job, ChangeSet changes) {
        try {
            Job after = jobs.editor().apply(job, changes);
            LimitRules.check(after, changes);
            return after;
        } catch (ChangeConflict e) {
            throw Refusals.conflict(job, e);
        } catch (ItemRejected e) {
            throw Refusals.rejected(job, e);
        } catch (ItemMissing e) {
            throw Problem.notFound(e.item().kind().wire());
        }
    }

    private ChangeSet read(CommandRow command) {
        return json.readValue(command.changes(), StoredChanges.class).toChangeSet();
    }
}
