package app.jerboa.server.logbook;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * One line of the logbook.
 *
 * @param kind change, undo, redo, event, note, people or file
 * @param devices numbers of the devices it concerns
 * @param photoId if it has a photo
 * @param fromFile it came in with a job file, so it is that file's word
 */
public record LogEntry(
        long id,
        OffsetDateTime at,
        String person,
        String kind,
        String text,
        List<Long> devices,
        Optional<Long> photoId,
        boolean fromFile) {
    static LogEntry of(LogRow row) {
        List<Long> devices =
                row.devices().isEmpty()
                        ? List.of()
                        : Arrays.stream(row.devices().split(",")).map(Long::valueOf).toList();
        return new LogEntry(
                row.id(),
                row.at().withOffsetSameInstant(ZoneOffset.UTC),
                row.person(),
                row.kind(),
                row.text(),
                devices,
                row.photoId() == 0 ? Optional.empty() : Optional.of(row.photoId()),
                row.fromFile());
    }
}
