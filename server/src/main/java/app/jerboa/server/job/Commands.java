package app.jerboa.server.job;

import app.jerboa.core.job.ChangeConflict;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobEdit;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.Change;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.TextRejected;
import app.jerboa.server.findings.ChangeBody;
import app.jerboa.server.job.Rows.CommandRow;
import app.jerboa.server.job.Rows.DeviceRow;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every change to a job goes through here: applied in one transaction, stored with its author and
 * its inverse, and taken back from the same store.
 */
@Service
public class Commands {
    private final JobMapper mapper;
    private final Jobs jobs;
    private final JsonMapper json;

    Commands(JobMapper mapper, Jobs jobs, JsonMapper json) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.json = json;
    }

    /** The job as it would be; nothing is stored. */
    @Transactional(readOnly = true)
    public Job preview(long job, List<Change> changes) {
        return edited(jobs.load(job).job(), changes);
    }

    @Transactional
    public void apply(long job, List<Change> changes, Person by) {
        if (changes.isEmpty()) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "nothing-to-change",
                    "No change was named, so nothing was changed.");
        }
        Jobs.Stored stored = jobs.lock(job);
        store(stored, changes);
        mapper.dropUndone(job, by.id());
        mapper.insertCommand(
                job,
                by.id(),
                by.displayName(),
                "change",
                label(stored.job(), changes),
                write(changes),
                "done");
    }

    @Transactional
    public void undo(long job, Person by) {
        Jobs.Stored stored = jobs.lock(job);
        CommandRow command =
                mapper.newestDone(job, by.id())
                        .orElseThrow(
                                () ->
                                        nothingTo(
                                                "undo",
                                                "You have changed nothing here that could be taken back."));
        List<Change> inverse = inverse(read(command));
        store(stored, inverse);
        mapper.setCommandState(command.id(), "undone");
        log(job, by, "undo", "Undone: " + command.label(), inverse);
    }

    @Transactional
    public void redo(long job, Person by) {
        Jobs.Stored stored = jobs.lock(job);
        CommandRow command =
                mapper.oldestUndone(job, by.id())
                        .orElseThrow(
                                () ->
                                        nothingTo(
                                                "redo",
                                                "There is nothing you have taken back that could be done again."));
        List<Change> changes = read(command);
        store(stored, changes);
        mapper.setCommandState(command.id(), "done");
        log(job, by, "redo", "Done again: " + command.label(), changes);
    }

    private void log(long job, Person by, String kind, String label, List<Change> changes) {
        mapper.insertCommand(job, by.id(), by.displayName(), kind, label, write(changes), "event");
    }

    private static Problem nothingTo(String what, String sentence) {
        return new Problem(HttpStatus.CONFLICT, "nothing-to-" + what, sentence);
    }

    /** Writes what was seen on a device, which is no edit of the plan and is not undone. */
    @Transactional
    public void noteFound(long job, Device device, Ipv4 found, String label, Person by) {
        jobs.lock(job);
        Device seen =
                new Device(
                        device.id(),
                        device.name(),
                        device.profile(),
                        device.mac(),
                        device.address(),
                        device.prefix(),
                        device.gateway(),
                        device.reserved(),
                        Optional.of(found));
        mapper.updateDevice(job, row(seen));
        mapper.raiseVersion(job);
        event(job, label, by);
    }

    @Transactional
    public void event(long job, String label, Person by) {
        log(job, by, "event", label, List.of());
    }

    private void store(Jobs.Stored stored, List<Change> changes) {
        Job after = edited(stored.job(), changes);
        Set<DeviceId> touched =
                changes.stream()
                        .map(Change::device)
                        .collect(Collectors.toCollection(LinkedHashSet::new));
        after.devices().stream()
                .filter(d -> touched.contains(d.id()))
                .forEach(d -> mapper.updateDevice(stored.id(), row(d)));
        mapper.raiseVersion(stored.id());
    }

    private static Job edited(Job job, List<Change> changes) {
        try {
            return JobEdit.apply(job, changes);
        } catch (ChangeConflict e) {
            throw conflict(job, e);
        } catch (TextRejected e) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "text-rejected",
                    "\"" + e.input() + "\" was not taken: " + e.reason() + ".",
                    Map.of("field", "after", "index", e.index()));
        } catch (NoSuchElementException e) {
            throw Problem.notFound("device");
        }
    }

    private static Problem conflict(Job job, ChangeConflict e) {
        String name = job.device(e.change().device()).map(Device::name).orElse("");
        String sentence =
                name
                        + ": the "
                        + e.change().field().wire()
                        + " is now \""
                        + e.actual()
                        + "\", not \""
                        + e.change().before()
                        + "\" as when you started. Nothing was changed; look at both values and decide.";
        return new Problem(
                HttpStatus.CONFLICT,
                "changed-meanwhile",
                sentence,
                Map.of("theirs", e.actual(), "yours", e.change().after()));
    }

    private static DeviceRow row(Device d) {
        return new DeviceRow(
                d.id().value(),
                d.name(),
                d.profile().id(),
                d.mac(),
                JobEdit.text(d, Field.ADDRESS),
                d.prefix(),
                JobEdit.text(d, Field.GATEWAY),
                d.reserved(),
                d.found().map(Ipv4::toString).orElse(""));
    }

    private static String label(Job job, List<Change> changes) {
        if (changes.size() > 3) {
            return changes.size() + " changes to the plan";
        }
        return changes.stream().map(c -> label(job, c)).collect(Collectors.joining("; "));
    }

    private static String label(Job job, Change change) {
        String name = job.device(change.device()).map(Device::name).orElse("a device");
        return name
                + ": "
                + change.field().wire()
                + " "
                + orNone(change.before())
                + " to "
                + orNone(change.after());
    }

    private static String orNone(String text) {
        return text.isEmpty() ? "none" : text;
    }

    private static List<Change> inverse(List<Change> changes) {
        List<Change> inverse = changes.stream().map(Change::inverse).collect(Collectors.toList());
        Collections.reverse(inverse);
        return inverse;
    }

    private String write(List<Change> changes) {
        return json.writeValueAsString(changes.stream().map(ChangeBody::of).toList());
    }

    private List<Change> read(CommandRow command) {
        return Stream.of(json.readValue(command.changes(), ChangeBody[].class))
                .map(ChangeBody::toChange)
                .toList();
    }
}
