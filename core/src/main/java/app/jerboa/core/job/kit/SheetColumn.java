package app.jerboa.core.job.kit;

import app.jerboa.core.item.Field;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a column of a pasted sheet says, and the headings people give it. */
public enum SheetColumn {
    NAME(Field.NAME, "name", "device", "label", "camera", "cam", "position"),
    PROFILE(Field.PROFILE, "profile", "model", "type", "kind", "what", "item", "description"),
    COUNT(null, "count", "quantity", "qty", "how many", "number of", "pcs", "pieces"),
    MAC(Field.MAC, "mac", "mac address", "hardware address", "ethernet address"),
    SERIAL_NUMBER(
            Field.SERIAL_NUMBER, "serial number", "serial", "serial no", "s/n", "sn", "serial#"),
    FIRMWARE(Field.FIRMWARE, "firmware", "version", "fw", "software"),
    CONDITION(Field.CONDITION, "condition", "new or used", "origin"),
    ADDRESS(Field.ADDRESS, "address", "ip", "ip address", "ipv4", "ipv4 address"),
    /** A column that is passed over. */
    NOTHING(null);

    private final Field field;

    /** With a bar on either side of each. */
    private final String headings;

    SheetColumn(Field field, String... headings) {
        this.field = field;
        this.headings = "|" + String.join("|", headings) + "|";
    }

    /** The field it fills; empty for a count and for nothing. */
    public Optional<Field> field() {
        return Optional.ofNullable(field);
    }

    public String wire() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static Optional<SheetColumn> fromWire(String name) {
        return Arrays.stream(values()).filter(c -> c.wire().equals(name)).findFirst();
    }

    static Optional<SheetColumn> fromHeading(String heading) {
        String plain =
                heading.strip().toLowerCase(Locale.ROOT).replace('_', ' ').replaceAll("[.:]$", "");
        return Arrays.stream(values())
                .filter(c -> c.headings.contains("|" + plain + "|"))
                .findFirst();
    }
}
