package app.jerboa.server.addresses;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.addresses.AddressRow;
import app.jerboa.core.job.addresses.Reservations;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Spreadsheet;
import app.jerboa.server.words.Words;
import java.util.Map;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The address plan as files for people, routers and name servers; none holds a secret. */
@RestController
@RequestMapping("/api/jobs/{job}")
class AddressFilesController {
    private final Jobs jobs;

    AddressFilesController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping(value = "/addresses.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(@PathVariable("job") long id) {
        Jobs.Stored stored = jobs.load(id);
        String text = Spreadsheet.csv(AddressSheet.of(stored.proof()));
        return Download.text("text/csv", Download.name(stored.job().name(), "addresses.csv"), text);
    }

    @GetMapping(value = "/addresses.xlsx", produces = Spreadsheet.XLSX)
    ResponseEntity<byte[]> xlsx(@PathVariable("job") long id) {
        Jobs.Stored stored = jobs.load(id);
        return Download.of(
                Spreadsheet.XLSX,
                Download.name(stored.job().name(), "addresses.xlsx"),
                Spreadsheet.xlsx(AddressSheet.of(stored.proof())));
    }

    /** Every planned address as a reservation, or only those that are to be reserved. */
    @GetMapping("/reservations/{server}")
    ResponseEntity<byte[]> reservations(
            @PathVariable("job") long id,
            @PathVariable("server") String server,
            @RequestParam(name = "all", defaultValue = "true") boolean all) {
        Job job = jobs.load(id).job();
        Reservations r = Reservations.of(job, all);
        String comment = NameFiles.comment(job);
        return switch (server) {
            case "dnsmasq" -> text(job, "dnsmasq.conf", ReservationFiles.dnsmasq(r, comment));
            case "dhcpd" -> text(job, "dhcpd.conf", ReservationFiles.dhcpd(r, comment));
            case "kea" ->
                    Download.text(
                            "application/json",
                            Download.name(job.name(), "kea-dhcp4.json"),
                            ReservationFiles.kea(r, comment));
            default -> throw Problem.notFound("kind of DHCP server");
        };
    }

    @GetMapping("/hosts")
    ResponseEntity<byte[]> hosts(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        return text(job, "hosts", NameFiles.hosts(job));
    }

    @GetMapping("/zone")
    ResponseEntity<byte[]> zone(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        return text(job, "zone", NameFiles.zone(job));
    }

    private static ResponseEntity<byte[]> text(Job job, String what, String content) {
        return Download.text("text/plain", Download.name(job.name(), what), content);
    }

    /** Labels; size small, medium or large. */
    @GetMapping(value = "/labels.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> labels(
            @PathVariable("job") long id,
            @RequestParam(name = "size", defaultValue = "medium") String size) {
        LabelSheet.Size cut =
                LabelSheet.Size.of(size)
                        .orElseThrow(
                                () ->
                                        new Problem(
                                                HttpStatus.BAD_REQUEST,
                                                "bad-value",
                                                Words.say("refused.label-size"),
                                                Map.of("field", "size")));
        Job job = jobs.load(id).job();
        String base =
                ServletUriComponentsBuilder.fromCurrentContextPath().toUriString() + "/jobs/" + id;
        Function<AddressRow, String> page = r -> base + "/addresses#device-" + r.device().id();
        return Download.of(
                "application/pdf",
                Download.name(job.name(), "labels.pdf"),
                LabelSheet.of(job.name(), AddressRow.all(job), cut, page));
    }
}
