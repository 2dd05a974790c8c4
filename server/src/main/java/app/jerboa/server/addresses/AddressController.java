package app.jerboa.server.addresses;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobAddresses;
import app.jerboa.core.net.AddressPlan;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Move;
import app.jerboa.core.value.Edit;
import app.jerboa.core.value.Field;
import app.jerboa.server.findings.EditBody;
import app.jerboa.server.job.Jobs;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Re-planning and the sheet. */
@RestController
@RequestMapping("/api/jobs/{job}")
class AddressController {
    /** What a re-plan would move and why; applied by sending the changes back. */
    record PlanBody(List<MoveBody> moves, List<String> unplaced) {}

    /** One device's move; {@code why} in words. */
    record MoveBody(String device, String why, EditBody edit) {}

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
                plans.stream()
                        .flatMap(p -> p.unplaced().stream())
                        .map(d -> job.device(d).orElseThrow().name())
                        .toList());
    }

    private static MoveBody move(Job job, Move move) {
        String before = move.from().map(Ipv4::toString).orElse("");
        EditBody edit =
                EditBody.of(Edit.of(move.device(), Field.ADDRESS, before, move.to().toString()));
        return new MoveBody(job.device(move.device()).orElseThrow().name(), why(move), edit);
    }

    private static String why(Move move) {
        return switch (move.reason()) {
            case UNPLANNED -> "it has no address yet";
            case NOT_USABLE -> "its address may not be used";
            case JOINS_RUN -> "its controller counts up to it";
            case MAKES_ROOM -> "it makes room for a run of cameras";
        };
    }

    @GetMapping(value = "/addresses.csv", produces = "text/csv")
    ResponseEntity<byte[]> sheet(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        String file = job.name().replaceAll("[^A-Za-z0-9]+", "-") + "-addresses.csv";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(file).build().toString())
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(AddressSheet.csv(job).getBytes(StandardCharsets.UTF_8));
    }
}
