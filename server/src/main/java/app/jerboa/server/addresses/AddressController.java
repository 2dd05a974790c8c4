package app.jerboa.server.addresses;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.addresses.AddressWhatIf;
import app.jerboa.core.job.addresses.JobAddresses;
import app.jerboa.core.job.addresses.SheetComparison;
import app.jerboa.core.net.AddressPlan;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.net.Move;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.change.ChangesBody;
import app.jerboa.server.change.EditBody;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.SheetReader;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Re-planning, what-ifs, and other people's sheets; nothing here changes a job. */
@RestController
@RequestMapping("/api/jobs/{job}")
class AddressController {
    private static final SheetReader SHEET = new SheetReader("file", SheetComparison.MOST_ROWS);

    /** What a re-plan would move and why; applied by sending the changes back. */
    record PlanBody(List<MoveBody> moves, List<String> unplaced) {}

    /** One device's move; {@code why} in words. */
    record MoveBody(String device, String why, EditBody edit) {}

    /**
     * One thing to try; the others empty.
     *
     * @param start cameras from this host on
     * @param cidr another range for the subnet of this id
     * @param gateway of that range
     * @param practice static, reservation or lease
     */
    record WhatIfBody(String start, long subnet, String cidr, String gateway, String practice) {}

    /**
     * What it would come to; applied by sending the changes.
     *
     * @param moved how many devices get another address
     * @param first the least planned address of a camera then; empty when none has one
     * @param last the greatest
     * @param unplaced names of devices without an address then; may be empty
     */
    record WhatIfResult(
            ChangesBody changes, int moved, String first, String last, List<String> unplaced) {}

    /** Somebody's sheet beside the plan; missing: devices with an address that it does not name. */
    record ComparisonBody(List<ComparedRow> rows, List<String> missing) {}

    /** One row: agrees when it has neither edits nor trouble. */
    record ComparedRow(
            int number,
            String name,
            Optional<Long> deviceId,
            List<EditBody> edits,
            String trouble) {}

    private final Jobs jobs;

    AddressController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping("/address-plan")
    PlanBody plan(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        List<AddressPlan> plans =
                JobAddresses.facts(job).stream().map(AddressPlanner::plan).toList();
        return new PlanBody(
                plans.stream().flatMap(p -> p.moves().stream()).map(m -> move(job, m)).toList(),
                names(job, plans.stream().flatMap(p -> p.unplaced().stream()).toList()));
    }

    private static List<String> names(Job job, List<DeviceId> devices) {
        return devices.stream().map(d -> job.device(d).orElseThrow().name()).toList();
    }

    private static MoveBody move(Job job, Move move) {
        String before = move.from().map(Ipv4::toString).orElse("");
        EditBody edit =
                EditBody.of(Edit.of(move.device(), Field.ADDRESS, before, move.to().toString()));
        return new MoveBody(job.device(move.device()).orElseThrow().name(), why(move), edit);
    }

    private static String why(Move move) {
        return switch (move.reason()) {
            case UNPLANNED -> Words.say("renumber.none");
            case NOT_USABLE -> Words.say("renumber.unusable");
            case JOINS_RUN -> Words.say("renumber.counted");
            case MAKES_ROOM -> Words.say("renumber.room");
        };
    }

    @PostMapping("/address-plan/what-if")
    @Needs(Right.READ)
    WhatIfResult whatIf(@PathVariable("job") long id, @RequestBody WhatIfBody body) {
        Job job = jobs.load(id).job();
        AddressWhatIf.Result result = result(job, body);
        Job then = result.changes().isEmpty() ? job : jobs.editor().apply(job, result.changes());
        KitIndex kit = KitIndex.of(then);
        List<Ipv4> cameras =
                then.lines().stream()
                        .map(l -> kit.device(l.camera()))
                        .flatMap(d -> d.address().stream())
                        .sorted()
                        .toList();
        return new WhatIfResult(
                ChangesBody.of(result.changes()),
                (int)
                        result.changes().edits().stream()
                                .filter(e -> e.field() == Field.ADDRESS)
                                .count(),
                cameras.isEmpty() ? "" : cameras.get(0).toString(),
                cameras.isEmpty() ? "" : cameras.get(cameras.size() - 1).toString(),
                names(then, result.unplaced()));
    }

    private AddressWhatIf.Result result(Job job, WhatIfBody body) {
        try {
            if (given(body.start())) {
                return AddressWhatIf.start(job, Ipv4.parse(body.start().strip()));
            }
            if (given(body.cidr())) {
                return AddressWhatIf.subnet(
                        jobs.editor(),
                        job,
                        subnet(job, body.subnet()),
                        Ipv4Subnet.parse(body.cidr().strip()),
                        Ipv4.parse(Objects.requireNonNullElse(body.gateway(), "").strip()));
            }
        } catch (IllegalArgumentException e) {
            throw bad(given(body.start()) ? "start" : "gateway", e.getMessage() + ".");
        }
        if (!List.of("static", "reservation", "lease").contains(body.practice())) {
            throw bad("practice", Words.say("refused.address-means"));
        }
        return AddressWhatIf.practice(jobs.editor(), job, body.practice());
    }

    private static boolean given(String text) {
        return text != null && !text.isBlank();
    }

    private static Subnet subnet(Job job, long id) {
        return job.subnets().stream()
                .filter(s -> s.id() == id)
                .findFirst()
                .orElseThrow(() -> Problem.notFound("subnet"));
    }

    /** The file as it is, CSV or XLSX. */
    @PostMapping("/addresses/compare")
    @Needs(Right.READ)
    ComparisonBody compare(@PathVariable("job") long id, @RequestBody byte[] file) {
        Job job = jobs.load(id).job();
        try {
            SheetComparison.Result result = SheetComparison.of(job, SHEET.rows(file));
            return new ComparisonBody(
                    result.rows().stream().map(AddressController::row).toList(),
                    result.missing().stream().map(Device::name).toList());
        } catch (IllegalArgumentException e) {
            throw bad("file", Words.say("refused.uncomparable", Map.of("why", e.getMessage())));
        }
    }

    private static ComparedRow row(SheetComparison.Row r) {
        return new ComparedRow(
                r.number(),
                r.name(),
                r.device().map(d -> d.id().value()),
                r.edits().stream().map(EditBody::of).toList(),
                r.trouble().map(Words::say).orElse(""));
    }

    private static Problem bad(String field, String sentence) {
        String said = sentence.substring(0, 1).toUpperCase(Locale.ROOT) + sentence.substring(1);
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", said, Map.of("field", field));
    }
}
