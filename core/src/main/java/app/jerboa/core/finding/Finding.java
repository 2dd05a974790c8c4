package app.jerboa.core.finding;

import app.jerboa.core.item.Field;
import app.jerboa.core.value.DeviceId;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Something a rule noticed, as code and facts.
 *
 * @param code what kind
 * @param devices it concerns, in the order the rule names them, never empty
 * @param field the field that shows it
 * @param facts values for the wording, by name
 * @param fixes what would clear it, best first; may be empty
 */
public record Finding(
        FindingCode code,
        List<DeviceId> devices,
        Field field,
        SortedMap<String, String> facts,
        List<Fix> fixes) {

    /** The fact that names a socket: findings about two sockets of one device are two. */
    public static final String AT = "at";

    /** The fact that names a run by its id. */
    public static final String RUN = "run";

    /** Stops first, then by code, then by the first device: same input, same order. */
    public static final Comparator<Finding> ORDER = Finding::order;

    public Finding {
        devices = List.copyOf(devices);
        facts = Collections.unmodifiableSortedMap(new TreeMap<>(facts));
        fixes = List.copyOf(fixes);
        if (devices.isEmpty()) {
            throw new IllegalArgumentException("a finding names at least one device: " + code);
        }
    }

    public static Finding of(
            FindingCode code, DeviceId device, Field field, Map<String, String> facts) {
        return new Finding(code, List.of(device), field, new TreeMap<>(facts), List.of());
    }

    public static Finding of(
            FindingCode code, List<DeviceId> devices, Field field, Map<String, String> facts) {
        return new Finding(code, devices, field, new TreeMap<>(facts), List.of());
    }

    public Finding withFixes(List<Fix> offered) {
        return new Finding(code, devices, field, facts, offered);
    }

    /** Two findings with one key are the same finding before and after an edit. */
    public String key() {
        String socket = facts.containsKey(AT) ? " " + facts.get(AT) : "";
        return code.code()
                + devices.stream().map(DeviceId::toString).toList()
                + field.wire()
                + socket;
    }

    @SuppressWarnings("ReferenceEquality") // Most neighbours are of one code, which is one object.
    private static int order(Finding a, Finding b) {
        int order = 0;
        if (a.code != b.code) {
            order = a.code.severity().compareTo(b.code.severity());
            order = order == 0 ? a.code.code().compareTo(b.code.code()) : order;
        }
        return order == 0 ? a.devices.get(0).compareTo(b.devices.get(0)) : order;
    }
}
