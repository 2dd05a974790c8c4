package app.jerboa.server.lines;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.ChosenRoute;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.ControlRoutes;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.lines.RouteBodies.Cell;
import app.jerboa.server.lines.RouteBodies.Choice;
import app.jerboa.server.lines.RouteBodies.Matrix;
import app.jerboa.server.lines.RouteBodies.Row;
import app.jerboa.server.lines.RouteBodies.Way;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.view.JobPatch;
import app.jerboa.server.view.JobViews;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How each function of each camera is controlled, and the ways beside the planned one. */
@RestController
@RequestMapping("/api/jobs/{job}")
class RouteController {
    private final Commands commands;
    private final Jobs jobs;
    private final JobViews views;

    RouteController(Commands commands, Jobs jobs, JobViews views) {
        this.commands = commands;
        this.jobs = jobs;
        this.views = views;
    }

    @GetMapping("/routes")
    Matrix matrix(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        KitIndex kit = KitIndex.of(job);
        ControlRoutes routes = ControlRoutes.of(job);
        return new Matrix(
                Wanted.ALL.stream().map(RemoteFunction::toString).toList(),
                job.lines().stream().map(l -> row(job, l, kit, routes)).toList());
    }

    private static Row row(Job job, Line line, KitIndex kit, ControlRoutes routes) {
        Device camera = kit.device(line.camera());
        Set<RemoteFunction> wanted = Wanted.of(line, camera.profile());
        return new Row(
                line.id(),
                job.label(line),
                camera.profile().name(),
                Wanted.ALL.stream().map(f -> cell(line, f, wanted.contains(f), routes)).toList());
    }

    private static Cell cell(
            Line line, RemoteFunction function, boolean wanted, ControlRoutes routes) {
        List<ControlRoute> all = routes.all(line, function);
        Optional<ControlRoute> planned = routes.planned(line, function);
        return new Cell(
                function.toString(),
                wanted,
                all.size(),
                planned.map(r -> r.by().name()).orElse(""),
                planned.map(ControlRoute::key).orElse(OptionalInt.empty()),
                planned.map(r -> RouteWords.protocol(r.sends().protocol())).orElse(""),
                planned.filter(ControlRoute::chosen).isPresent());
    }

    /** Best first. */
    @GetMapping("/lines/{line}/routes/{function}")
    List<Way> ways(
            @PathVariable("job") long id,
            @PathVariable("line") long lineId,
            @PathVariable("function") String function) {
        Job job = jobs.load(id).job();
        Line line = line(job, lineId);
        KitIndex kit = KitIndex.of(job);
        ControlRoutes routes = ControlRoutes.of(job);
        RemoteFunction wanted = function(function);
        Optional<ControlRoute> planned = routes.planned(line, wanted);
        boolean recorders =
                job.site().habits().practice(Field.PRACTICE_ACCESS).equals("through-recorder");
        List<ControlRoute> all = routes.all(line, wanted);
        return all.stream()
                .map(
                        r ->
                                way(
                                        r,
                                        planned.filter(r::equals).isPresent(),
                                        kit.device(line.camera()),
                                        recorders,
                                        lost(r, line, routes, all)))
                .toList();
    }

    private static Way way(
            ControlRoute r, boolean planned, Device camera, boolean recorders, String lost) {
        return new Way(
                r.by().id().value(),
                r.by().name(),
                r.key(),
                r.sends().protocol().toString(),
                Words.say(
                        "route.over",
                        Map.of(
                                "protocol", RouteWords.protocol(r.sends().protocol()),
                                "over", RouteWords.over(r))),
                r.through().stream().map(Device::name).toList(),
                throughId(r),
                r.answers().twoWay(),
                planned,
                r.chosen(),
                r.ready(),
                RouteWords.why(r, planned, recorders),
                RouteWords.needs(r, camera),
                lost);
    }

    private static String lost(
            ControlRoute r, Line line, ControlRoutes routes, List<ControlRoute> all) {
        List<String> together = new ArrayList<>();
        for (RemoteFunction other : Wanted.ALL) {
            boolean same =
                    other != r.function()
                            && routes.planned(line, other)
                                    .filter(p -> p.by().equals(r.by()))
                                    .isPresent();
            if (same) {
                together.add(other.toString().replace('-', '/'));
            }
        }
        List<String> spare =
                all.stream()
                        .filter(o -> o.ready() && !o.by().equals(r.by()))
                        .map(o -> o.by().name())
                        .distinct()
                        .toList();
        return RouteWords.lost(together, spare);
    }

    /** One of the ways there are. */
    @PutMapping("/lines/{line}/routes/{function}")
    @Needs(Right.PLAN)
    JobPatch choose(
            @PathVariable("job") long id,
            @PathVariable("line") long lineId,
            @PathVariable("function") String function,
            @RequestBody Choice body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        RemoteFunction wanted = function(function);
        return views.patch(
                commands.apply(id, s -> choice(s, lineId, wanted, Optional.of(body)), person),
                person);
    }

    /** Back to what is proposed. */
    @DeleteMapping("/lines/{line}/routes/{function}")
    @Needs(Right.PLAN)
    JobPatch propose(
            @PathVariable("job") long id,
            @PathVariable("line") long lineId,
            @PathVariable("function") String function,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        RemoteFunction wanted = function(function);
        return views.patch(
                commands.apply(id, s -> choice(s, lineId, wanted, Optional.empty()), person),
                person);
    }

    private static ChangeSet choice(
            Jobs.Stored stored, long lineId, RemoteFunction function, Optional<Choice> wanted) {
        Job job = stored.job();
        Line line = line(job, lineId);
        ControlRoutes routes = ControlRoutes.of(job);
        Optional<ChosenRoute> before = routes.chosen(line, function);
        List<Item> removes = before.map(JobItems::item).map(List::of).orElse(List.of());
        List<Item> adds =
                wanted.map(w -> item(line, function, w, routes, stored.nextItem()))
                        .map(List::of)
                        .orElse(List.of());
        return new ChangeSet(adds, List.of(), removes);
    }

    /** What stands next to the controller, if anything does. */
    private static Optional<Long> throughId(ControlRoute r) {
        return r.through().stream().map(d -> d.id().value()).findFirst();
    }

    private static Item item(
            Line line, RemoteFunction function, Choice wanted, ControlRoutes routes, long next) {
        boolean there =
                routes.all(line, function).stream()
                        .anyMatch(
                                r ->
                                        r.by().id().value() == wanted.controllerId()
                                                && r.sends()
                                                        .protocol()
                                                        .toString()
                                                        .equals(wanted.protocol())
                                                && throughId(r).equals(wanted.throughId()));
        if (!there) {
            throw Problem.notFound("control route");
        }
        return new Item(
                new ItemRef(ItemKind.ROUTE, next),
                Map.of(
                        Field.ROUTE_LINE, Long.toString(line.id()),
                        Field.ROUTE_FUNCTION, function.toString(),
                        Field.ROUTE_BY, Long.toString(wanted.controllerId()),
                        Field.ROUTE_PROTOCOL, wanted.protocol(),
                        Field.ROUTE_VIA, wanted.throughId().map(Object::toString).orElse("")));
    }

    private static Line line(Job job, long id) {
        return job.lines().stream()
                .filter(l -> l.id() == id)
                .findFirst()
                .orElseThrow(() -> Problem.notFound("line"));
    }

    private static RemoteFunction function(String word) {
        return Wanted.ALL.stream()
                .filter(f -> f.toString().equals(word))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("function"));
    }
}
