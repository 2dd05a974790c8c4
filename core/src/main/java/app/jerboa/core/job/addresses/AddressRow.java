package app.jerboa.core.job.addresses;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * One device in the address sheet; what it has not is empty.
 *
 * @param line as people here call it, for example {@code L4}
 * @param how {@code static}, {@code reservation}, {@code lease} or empty
 * @param key its number on the controller
 * @param input its number on the switcher
 * @param port for example {@code UDP 52381}
 */
public record AddressRow(
        Device device,
        Optional<Line> of,
        String line,
        String how,
        String controlId,
        String key,
        String controller,
        String input,
        String switcher,
        String port) {

    /** Every device with an address or a network: those of lines first, in their order. */
    public static List<AddressRow> all(Job job) {
        Map<DeviceId, Line> lines = new HashMap<>();
        job.lines().forEach(l -> lines.putIfAbsent(l.camera(), l));
        Map<DeviceId, String> names = new HashMap<>();
        job.devices().forEach(d -> names.put(d.id(), d.name()));
        List<AddressRow> rows = new ArrayList<>();
        for (Device d : job.devices()) {
            if (d.addressed()) {
                rows.add(row(job, d, Optional.ofNullable(lines.get(d.id())), names));
            }
        }
        rows.sort(Comparator.comparing(r -> r.of().map(Line::number).orElse(Integer.MAX_VALUE)));
        return rows;
    }

    private static AddressRow row(
            Job job, Device d, Optional<Line> line, Map<DeviceId, String> names) {
        return new AddressRow(
                d,
                line,
                line.map(job::label).orElse(""),
                how(job, d),
                line.map(l -> Integer.toString(l.controlId())).orElse(""),
                line.flatMap(Line::key).map(k -> Integer.toString(k.number())).orElse(""),
                line.flatMap(Line::key).map(k -> names.get(k.controller())).orElse(""),
                line.flatMap(Line::input).map(i -> Integer.toString(i.number())).orElse(""),
                line.flatMap(Line::input).map(i -> names.get(i.switcher())).orElse(""),
                port(d));
    }

    /** How it comes by its address. */
    public static String how(Job job, Device d) {
        boolean leaseOnly = d.profile().network().filter(Network::leaseOnly).isPresent();
        if (d.address().isEmpty()) {
            boolean leases =
                    leaseOnly
                            || job.site()
                                    .habits()
                                    .practice(Field.PRACTICE_ADDRESSES)
                                    .equals("lease");
            return leases ? "lease" : "";
        }
        return d.reserved() ? "reservation" : leaseOnly ? "lease" : "static";
    }

    /** Where it is controlled over the network: VISCA first, else what it answers first. */
    private static String port(Device d) {
        return d.profile().answers(Protocol.VISCA_IP).stream()
                .findFirst()
                .or(
                        () ->
                                d.profile().speaks().stream()
                                        .filter(s -> !s.sends() && s.port().isPresent())
                                        .findFirst())
                .filter(s -> s.over() == Transport.UDP || s.over() == Transport.TCP)
                .map(AddressRow::port)
                .orElse("");
    }

    private static String port(Speaks s) {
        return s.over().toString().toUpperCase(Locale.ROOT)
                + (s.port().isPresent() ? " " + s.port().getAsInt() : "");
    }

    public String text(Field field) {
        return JobItems.text(device, field);
    }
}
