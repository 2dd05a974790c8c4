package app.jerboa.server.logbook;

import app.jerboa.core.value.TextRules;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** The logbook: read by filter, added to by people. */
@RestController
@RequestMapping("/api/jobs/{job}/log")
class LogbookController {
    private static final int MOST = 200;
    private static final int LONGEST_NOTE = 1000;
    private static final int LONGEST_DAY = 10;

    /**
     * One page of the logbook, newest first.
     *
     * @param more there are older lines
     * @param people everybody who ever stands in this logbook
     */
    record LogPage(List<LogEntry> entries, boolean more, List<String> people) {}

    private final LogMapper mapper;
    private final Logbook log;
    private final DevicesOfJob devices;

    LogbookController(LogMapper mapper, Logbook log, DevicesOfJob devices) {
        this.mapper = mapper;
        this.log = log;
        this.devices = devices;
    }

    /**
     * @param day as yyyy-mm-dd in the reader's zone; empty for any
     */
    @GetMapping
    LogPage page(
            @PathVariable("job") long job,
            @RequestParam(value = "device", defaultValue = "0") long device,
            @RequestParam(value = "person", defaultValue = "") String person,
            @RequestParam(value = "kind", defaultValue = "") String kind,
            @RequestParam(value = "day", defaultValue = "") String day,
            @RequestParam(value = "zone", defaultValue = "UTC") String zone,
            @RequestParam(value = "before", defaultValue = "0") long before,
            @RequestParam(value = "limit", defaultValue = "50") int limit) {
        int most = Math.max(1, Math.min(MOST, limit));
        OffsetDateTime from = day.isEmpty() ? null : startOf(day, zone, 0);
        OffsetDateTime until = day.isEmpty() ? null : startOf(day, zone, 1);
        LogFilter filter = new LogFilter(device, person, kind, from, until, before, most + 1);
        List<LogEntry> found = mapper.page(job, filter).stream().map(LogEntry::of).toList();
        List<LogEntry> shown = found.subList(0, Math.min(most, found.size()));
        return new LogPage(shown, found.size() > most, mapper.people(job));
    }

    private static OffsetDateTime startOf(String day, String zone, int daysLater) {
        try {
            if (day.length() > LONGEST_DAY) {
                throw new DateTimeException("a year of our time");
            }
            return LocalDate.parse(day)
                    .plusDays(daysLater)
                    .atStartOfDay(ZoneId.of(zone))
                    .toInstant()
                    .atOffset(ZoneOffset.UTC);
        } catch (DateTimeException | ArithmeticException e) {
            throw bad("day", Words.say("refused.day"));
        }
    }

    /** A line of one's own, with a photo if there is one. */
    @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Needs(Right.PLAN)
    void note(
            @PathVariable("job") long job,
            @RequestParam("text") String text,
            @RequestParam(value = "device", defaultValue = "0") long device,
            @RequestPart(value = "photo", required = false) MultipartFile photo,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person)
            throws IOException {
        String words = text.strip();
        if (words.isEmpty() || words.length() > LONGEST_NOTE) {
            throw bad("text", Words.say("refused.note", Map.of("most", LONGEST_NOTE)));
        }
        if (!TextRules.storable(words)) {
            throw bad("text", Words.say("refused.note-signs"));
        }
        if (device != 0) {
            devices.insist(job, device);
        }
        boolean pictured = photo != null && !photo.isEmpty();
        Optional<byte[]> jpeg =
                pictured ? Optional.of(Photos.asJpeg(photo.getBytes())) : Optional.empty();
        log.note(job, words, device == 0 ? List.of() : List.of(device), jpeg, person);
    }

    private static Problem bad(String field, String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                Words.say("refused.unwritten", Map.of("why", sentence)),
                Map.of("field", field));
    }

    @GetMapping(value = "/photos/{photo}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> photo(@PathVariable("job") long job, @PathVariable("photo") long photo) {
        PhotoRow row = mapper.photo(job, photo).orElseThrow(() -> Problem.notFound("photo"));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .contentType(MediaType.IMAGE_JPEG)
                .body(row.jpeg());
    }
}
