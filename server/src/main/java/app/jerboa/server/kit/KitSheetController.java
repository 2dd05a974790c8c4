package app.jerboa.server.kit;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.OwnProfile;
import app.jerboa.core.job.kit.ColumnGuess;
import app.jerboa.core.job.kit.KitSheet;
import app.jerboa.core.job.kit.ProfileNames;
import app.jerboa.core.job.kit.SheetColumn;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.SheetReader;
import app.jerboa.server.profile.Profiles;
import app.jerboa.server.view.JobPatch;
import app.jerboa.server.view.JobViews;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A kit list out of somebody's spreadsheet: looked at first, then taken over. */
@RestController
@RequestMapping("/api/jobs/{job}/kit/sheet")
class KitSheetController {
    private static final SheetReader SHEET = new SheetReader("text", KitSheet.MOST_ROWS);

    /**
     * What was pasted.
     *
     * @param columns what each column says; empty to have it guessed
     * @param headings the first row is headings; of no meaning when columns are guessed
     */
    record PastedSheet(String text, List<String> columns, boolean headings) {}

    /**
     * What becomes of it.
     *
     * @param headings the first row is headings
     * @param names the first row as it stands, to show what the columns are
     * @param adds how many devices it adds
     */
    record SheetView(
            List<String> columns,
            boolean headings,
            List<String> names,
            int adds,
            int changes,
            List<GoodRow> good,
            List<BadRow> bad) {}

    /** A row that is taken; {@code count} 0 when it changes a device that is there. */
    record GoodRow(int line, int count, String name, String profile, Map<String, String> values) {}

    record BadRow(int line, String text, String reason) {}

    private record Sheet(ColumnGuess guess, List<KitSheet.Row> all) {
        List<KitSheet.Row> rows() {
            return guess.headings() ? all.subList(1, all.size()) : all;
        }
    }

    private final Commands commands;
    private final Jobs jobs;
    private final JobViews views;
    private final Profiles profiles;

    KitSheetController(Commands commands, Jobs jobs, JobViews views, Profiles profiles) {
        this.commands = commands;
        this.jobs = jobs;
        this.views = views;
        this.profiles = profiles;
    }

    @PostMapping("/preview")
    @Needs(Right.READ)
    SheetView preview(@PathVariable("job") long job, @RequestBody PastedSheet body) {
        Job stored = jobs.load(job).job();
        Sheet sheet = sheet(stored, body);
        KitSheet.Reading reading = read(stored, sheet);
        return new SheetView(
                sheet.guess().columns().stream().map(SheetColumn::wire).toList(),
                sheet.guess().headings(),
                sheet.all().isEmpty() ? List.of() : sheet.all().get(0).cells(),
                reading.good().stream().mapToInt(KitSheet.Good::count).sum(),
                (int) reading.good().stream().filter(g -> g.change().isPresent()).count(),
                reading.good().stream().map(KitSheetController::row).toList(),
                reading.bad().stream()
                        .map(b -> new BadRow(b.line(), b.text(), Words.say(b.reason())))
                        .toList());
    }

    private static GoodRow row(KitSheet.Good good) {
        Map<String, String> values =
                good.values().entrySet().stream()
                        .collect(Collectors.toMap(e -> e.getKey().wire(), Map.Entry::getValue));
        return new GoodRow(
                good.line(),
                good.count(),
                good.values().getOrDefault(Field.NAME, ""),
                good.profile().name(),
                values);
    }

    /** Takes over every row that can be; the others are left out, as the preview says. */
    @PostMapping
    @Needs(Right.PLAN)
    JobPatch take(
            @PathVariable("job") long job,
            @RequestBody PastedSheet body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(
                commands.apply(
                        job,
                        stored ->
                                KitSheet.changes(
                                        jobs.editor(),
                                        stored.job(),
                                        read(stored.job(), sheet(stored.job(), body)),
                                        stored.nextItem()),
                        person),
                person);
    }

    private KitSheet.Reading read(Job job, Sheet sheet) {
        return KitSheet.read(job, names(job), sheet.guess().columns(), sheet.rows());
    }

    private ProfileNames names(Job job) {
        List<Profile> all =
                Stream.concat(
                                job.profiles().stream().map(OwnProfile::profile),
                                profiles.all().stream())
                        .toList();
        return new ProfileNames(jobs.editor().shelf(job), all);
    }

    private Sheet sheet(Job job, PastedSheet body) {
        List<List<String>> cells = SHEET.rows(body.text());
        List<KitSheet.Row> rows =
                IntStream.range(0, cells.size())
                        .mapToObj(i -> new KitSheet.Row(i + 1, cells.get(i)))
                        .toList();
        if (body.columns().isEmpty()) {
            return new Sheet(ColumnGuess.of(rows, names(job)), rows);
        }
        List<SheetColumn> columns =
                body.columns().stream().map(KitSheetController::column).toList();
        return new Sheet(new ColumnGuess(columns, body.headings() && !rows.isEmpty()), rows);
    }

    private static SheetColumn column(String name) {
        return SheetColumn.fromWire(name)
                .orElseThrow(() -> KitController.bad("columns", Words.say("refused.no-column")));
    }
}
