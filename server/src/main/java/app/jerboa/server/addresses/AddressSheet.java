package app.jerboa.server.addresses;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.addresses.AddressRow;
import app.jerboa.core.job.proof.Mark;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.findings.DeviceMarks;
import app.jerboa.server.platform.Spreadsheet;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** The address sheet: one row for each device with an address. */
final class AddressSheet {
    private static final List<String> HEAD =
            List.of(
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
                    "how",
                    "controller",
                    "switcher",
                    "found address",
                    "mark");

    private AddressSheet() {}

    static Spreadsheet of(Proof proof) {
        Map<DeviceId, Mark> marks = DeviceMarks.of(proof);
        return new Spreadsheet(
                "Addresses",
                HEAD,
                AddressRow.all(proof.job()).stream()
                        .map(r -> row(r, marks.get(r.device().id())))
                        .toList());
    }

    private static Integer number(String text) {
        return text.isEmpty() ? null : Integer.valueOf(text);
    }

    private static List<Object> row(AddressRow r, Mark mark) {
        return Arrays.asList(
                r.line(),
                r.device().name(),
                r.device().profile().kind().wire(),
                r.device().profile().name(),
                r.device().mac(),
                r.text(Field.ADDRESS),
                r.device().prefix(),
                r.text(Field.GATEWAY),
                number(r.controlId()),
                number(r.key()),
                number(r.input()),
                r.port(),
                r.how(),
                r.controller(),
                r.switcher(),
                r.device().found().map(Ipv4::toString).orElse(""),
                mark.wire());
    }
}
