package app.jerboa.server.addresses;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItems;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.Field;
import app.jerboa.server.platform.Harmless;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The address sheet as CSV (RFC 4180), with nothing in it that a spreadsheet would run. */
final class AddressSheet {
    private static final String[] HEADER = {
        "line",
        "name",
        "role",
        "profile",
        "mac",
        "planned address",
        "prefix",
        "gateway",
        "control ID",
        "key",
        "input",
        "port",
        "found address",
        "mark"
    };

    private AddressSheet() {}

    static String csv(Job job) {
        StringWriter out = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(HEADER).get();
        try (CSVPrinter csv = new CSVPrinter(out, format)) {
            for (Device d : job.devices()) {
                if (d.addressed()) {
                    csv.printRecord(record(job, d));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static List<String> record(Job job, Device d) {
        Optional<Line> line = job.lineOf(d.id());
        String port = port(d);
        return Stream.of(
                        line.map(job::label).orElse(""),
                        d.name(),
                        d.profile().kind().wire(),
                        d.profile().name(),
                        d.mac(),
                        JobItems.text(d, Field.ADDRESS),
                        Integer.toString(d.prefix()),
                        JobItems.text(d, Field.GATEWAY),
                        line.map(l -> Integer.toString(l.controlId())).orElse(""),
                        line.flatMap(Line::key).map(k -> Integer.toString(k.number())).orElse(""),
                        "",
                        port,
                        d.found().map(Object::toString).orElse(""),
                        d.mark().name().toLowerCase(Locale.ROOT))
                .map(Harmless::cell)
                .toList();
    }

    private static String port(Device d) {
        OptionalInt port = d.profile().port(Protocol.VISCA_IP);
        return port.isPresent() ? "UDP " + port.getAsInt() : "";
    }
}
