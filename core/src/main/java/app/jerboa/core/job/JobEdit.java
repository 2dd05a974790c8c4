package app.jerboa.core.job;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.Change;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.TextRejected;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;

/** A job with changes applied; the same code previews, applies and takes back. */
public final class JobEdit {
    private JobEdit() {}

    /**
     * @throws ChangeConflict when a field no longer holds what the change starts from
     * @throws TextRejected when a new value does not say what its field needs
     * @throws NoSuchElementException when the job has no such device
     */
    public static Job apply(Job job, List<Change> changes) {
        Map<DeviceId, Device> devices = new LinkedHashMap<>();
        job.devices().forEach(d -> devices.put(d.id(), d));
        for (Change change : changes) {
            Device device = devices.get(change.device());
            if (device == null) {
                throw new NoSuchElementException("no device " + change.device() + " in this job");
            }
            String actual = text(device, change.field());
            if (!actual.equals(change.before())) {
                throw new ChangeConflict(change, actual);
            }
            devices.put(device.id(), with(device, change.field(), change.after()));
        }
        return new Job(job.name(), job.lan(), List.copyOf(devices.values()), job.lines());
    }

    /** A field as the text a change carries. */
    public static String text(Device d, Field field) {
        return switch (field) {
            case ADDRESS -> d.address().map(Ipv4::toString).orElse("");
            case PREFIX -> Integer.toString(d.prefix());
            case GATEWAY -> d.gateway().map(Ipv4::toString).orElse("");
            case RESERVED -> Boolean.toString(d.reserved());
        };
    }

    private static Device with(Device d, Field field, String text) {
        Optional<Ipv4> address = field == Field.ADDRESS ? address(text) : d.address();
        int prefix = field == Field.PREFIX ? prefix(text) : d.prefix();
        Optional<Ipv4> gateway = field == Field.GATEWAY ? address(text) : d.gateway();
        boolean reserved = field == Field.RESERVED ? reserved(text) : d.reserved();
        return new Device(
                d.id(),
                d.name(),
                d.profile(),
                d.mac(),
                address,
                prefix,
                gateway,
                reserved,
                d.found());
    }

    private static Optional<Ipv4> address(String text) {
        return text.isEmpty() ? Optional.empty() : Optional.of(Ipv4.parse(text));
    }

    private static int prefix(String text) {
        boolean plain = text.length() <= 2 && text.chars().allMatch(c -> c >= '0' && c <= '9');
        int prefix = plain && !text.isEmpty() ? Integer.parseInt(text) : 0;
        if (prefix < Ipv4Subnet.WIDEST || prefix > Ipv4Subnet.NARROWEST) {
            throw new TextRejected(text, 0, "a prefix is a number from 8 to 30");
        }
        return prefix;
    }

    private static boolean reserved(String text) {
        return switch (text) {
            case "true" -> true;
            case "false" -> false;
            default -> throw new TextRejected(text, 0, "true or false belongs here");
        };
    }
}
