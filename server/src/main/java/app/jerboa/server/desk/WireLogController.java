package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Spreadsheet;
import app.jerboa.server.world.WireLogs;
import app.jerboa.wire.capture.Pcapng;
import app.jerboa.wire.link.WireLog;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What went over the wires of a job's heads, as far as this server sent and heard it. */
@RestController
@RequestMapping("/api/jobs/{job}/wire")
class WireLogController {
    /** The most that one page is given at a time: the newest. */
    private static final int MOST = 1_000;

    private static final long START = System.nanoTime();

    /**
     * @param newest to ask with, for what came after
     * @param heads those with frames, each with how its link is
     */
    record WireView(List<WireFrame> frames, double newest, List<HeadHealth> heads) {}

    /**
     * One frame.
     *
     * @param at by the wall clock
     * @param seconds since this server started; no clock that is set moves it
     * @param polling read-back rather than a person's doing
     * @param path between which sockets it went; empty for a serial port
     */
    record WireFrame(
            long device,
            String name,
            String at,
            double seconds,
            boolean sent,
            String hex,
            String words,
            boolean polling,
            String path) {}

    /**
     * How the link to a head is.
     *
     * @param state unknown, up, slow, lost or closed
     * @param since when; empty while it is closed
     * @param answers how many took less than 1, 2, 4 ... 1,024 ms, and in the end those that took
     *     longer
     */
    record HeadHealth(
            long device,
            String name,
            String state,
            String since,
            String why,
            List<Long> answers,
            long missed) {}

    private static final List<String> HEAD =
            List.of("time", "seconds", "device", "direction", "octets", "meaning", "path");

    private record Kept(Device device, WireLog.Entry entry) {}

    private final WireLogs logs;
    private final CameraLinks links;
    private final Jobs jobs;

    WireLogController(WireLogs logs, CameraLinks links, Jobs jobs) {
        this.logs = logs;
        this.links = links;
        this.jobs = jobs;
    }

    /**
     * @param device 0 for all
     * @param after seconds, of the newest that the page has
     * @param polling with the read-back
     */
    @GetMapping
    WireView view(
            @PathVariable("job") long job,
            @RequestParam(value = "device", defaultValue = "0") long device,
            @RequestParam(value = "after", defaultValue = "-1") double after,
            @RequestParam(value = "polling", defaultValue = "false") boolean polling) {
        Jobs.Stored stored = jobs.load(job);
        List<WireFrame> frames =
                kept(stored, device)
                        .filter(k -> polling || !k.entry().polling())
                        .map(WireLogController::frame)
                        .filter(f -> f.seconds() > after)
                        .toList();
        List<WireFrame> shown = frames.subList(Math.max(0, frames.size() - MOST), frames.size());
        double newest = shown.isEmpty() ? after : shown.get(shown.size() - 1).seconds();
        return new WireView(shown, newest, heads(stored));
    }

    /** In the order of time. */
    private Stream<Kept> kept(Jobs.Stored stored, long device) {
        return logs.ofJob(stored.id()).entrySet().stream()
                .filter(e -> device == 0 || e.getKey() == device)
                .flatMap(
                        e ->
                                device(stored, e.getKey()).stream()
                                        .flatMap(
                                                d ->
                                                        e.getValue().stream()
                                                                .map(f -> new Kept(d, f))))
                .sorted(Comparator.comparingLong(k -> k.entry().nanos()));
    }

    private static Optional<Device> device(Jobs.Stored stored, long device) {
        return stored.job().devices().stream().filter(d -> d.id().value() == device).findFirst();
    }

    private static WireFrame frame(Kept k) {
        WireLog.Entry e = k.entry();
        return new WireFrame(
                k.device().id().value(),
                k.device().name(),
                e.at().toString(),
                (e.nanos() - START) / 1e9,
                e.direction() == WireLog.Direction.SENT,
                e.octets().toString(),
                e.meaning(),
                e.polling(),
                path(e));
    }

    private static String path(WireLog.Entry e) {
        return e.path()
                .map(
                        p ->
                                (p.udp() ? "UDP " : "TCP ")
                                        + p.local().getAddress().getHostAddress()
                                        + ":"
                                        + p.local().getPort()
                                        + " - "
                                        + p.remote().getAddress().getHostAddress()
                                        + ":"
                                        + p.remote().getPort())
                .orElse("");
    }

    private List<HeadHealth> heads(Jobs.Stored stored) {
        return logs.ofJob(stored.id()).keySet().stream()
                .flatMap(id -> device(stored, id).stream())
                .map(d -> head(stored.id(), d))
                .toList();
    }

    private HeadHealth head(long job, Device d) {
        long id = d.id().value();
        return links.find(new CameraId(job, id))
                .map(l -> l.link().health().seen())
                .map(
                        h ->
                                new HeadHealth(
                                        id,
                                        d.name(),
                                        h.state().name().toLowerCase(Locale.ROOT),
                                        h.since().toString(),
                                        h.why(),
                                        h.answers(),
                                        h.missed()))
                .orElseGet(
                        () -> new HeadHealth(id, d.name(), "closed", "", "", List.<Long>of(), 0));
    }

    /** Of all links over the network; what went over a serial port stands in the CSV. */
    @GetMapping("/capture.pcapng")
    ResponseEntity<byte[]> capture(
            @PathVariable("job") long job,
            @RequestParam(value = "device", defaultValue = "0") long device) {
        Jobs.Stored stored = jobs.load(job);
        return Download.of(
                "application/x-pcapng",
                Download.name(stored.job().name(), "wire.pcapng"),
                Pcapng.of(kept(stored, device).map(Kept::entry).toList()));
    }

    @GetMapping("/log.csv")
    ResponseEntity<byte[]> csv(
            @PathVariable("job") long job,
            @RequestParam(value = "device", defaultValue = "0") long device) {
        Jobs.Stored stored = jobs.load(job);
        List<List<Object>> rows =
                kept(stored, device)
                        .map(WireLogController::frame)
                        .map(
                                f ->
                                        List.<Object>of(
                                                f.at(),
                                                String.format(Locale.ROOT, "%.6f", f.seconds()),
                                                f.name(),
                                                f.sent() ? "sent" : "received",
                                                f.hex(),
                                                f.words(),
                                                f.path()))
                        .toList();
        Spreadsheet sheet = new Spreadsheet("wire", HEAD, rows);
        return Download.text(
                "text/csv", Download.name(stored.job().name(), "wire.csv"), Spreadsheet.csv(sheet));
    }
}
