package app.jerboa.core.value;

import app.jerboa.core.value.FieldType.Shape;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Every field of every kind of item, in the order of the job file. */
public enum Field {
    SITE_NAME(ItemKind.SITE, "name", FieldType.name(80), ""),
    /** Lengths are shown in metres or feet; stored in metres. */
    UNITS(ItemKind.SITE, "units", FieldType.choice("m", "ft"), "m"),

    CIDR(ItemKind.SUBNET, "cidr", FieldType.of(Shape.SUBNET), ""),
    /** The router's address in this subnet. */
    SUBNET_GATEWAY(ItemKind.SUBNET, "gateway", FieldType.of(Shape.ADDRESS), ""),
    /** The technician's laptop at home in this subnet. */
    LAPTOP_HOME(ItemKind.SUBNET, "laptopHome", FieldType.of(Shape.ADDRESS), ""),

    RANGE_USE(ItemKind.RANGE, "use", FieldType.choice("pool", "reserved", "taken"), "taken"),
    FIRST(ItemKind.RANGE, "first", FieldType.of(Shape.ADDRESS), ""),
    LAST(ItemKind.RANGE, "last", FieldType.of(Shape.ADDRESS), ""),
    /** Whose they are; may be blank. */
    HOLDER(ItemKind.RANGE, "holder", FieldType.name(80).orNone(), ""),

    NAME(ItemKind.DEVICE, "name", FieldType.name(80), ""),
    PROFILE(ItemKind.DEVICE, "profile", FieldType.of(Shape.PROFILE), ""),
    MAC(ItemKind.DEVICE, "mac", FieldType.of(Shape.MAC).orNone(), ""),
    /** Planned IPv4 address. */
    ADDRESS(ItemKind.DEVICE, "address", FieldType.of(Shape.ADDRESS).orNone(), ""),
    /** Prefix length the device is to use. */
    PREFIX(ItemKind.DEVICE, "prefix", FieldType.number(8, 30), "24"),
    /** Gateway the device is to use. */
    GATEWAY(ItemKind.DEVICE, "gateway", FieldType.of(Shape.ADDRESS).orNone(), ""),
    /** The address is reserved for this device's MAC in the DHCP pool. */
    RESERVED(ItemKind.DEVICE, "reserved", FieldType.of(Shape.FLAG), "false"),
    /** The address it last answered from when asked: seen, never planned. */
    FOUND(ItemKind.DEVICE, "found", FieldType.of(Shape.ADDRESS).orNone(), ""),

    NUMBER(ItemKind.LINE, "number", FieldType.number(1, 999), ""),
    CAMERA(ItemKind.LINE, "camera", FieldType.to(ItemKind.DEVICE), ""),
    /** The number it answers to: VISCA 1 to 7, a bus 1 to 255. */
    CONTROL_ID(ItemKind.LINE, "controlId", FieldType.number(1, 255), ""),
    CONTROLLER(ItemKind.LINE, "controller", FieldType.to(ItemKind.DEVICE).orNone(), ""),
    KEY(ItemKind.LINE, "key", FieldType.number(0, 9999).orNone(), ""),

    /** {@link Finding#key()} of what is waived. */
    WAIVED(ItemKind.WAIVER, "finding", FieldType.text(1, 400), ""),
    REASON(ItemKind.WAIVER, "reason", FieldType.text(3, 300), ""),
    WAIVED_BY(ItemKind.WAIVER, "person", FieldType.name(100), "");

    private static final Map<ItemKind, List<Field>> BY_KIND = new EnumMap<>(ItemKind.class);
    private static final Map<ItemKind, Map<String, Field>> BY_NAME = new EnumMap<>(ItemKind.class);

    static {
        for (ItemKind kind : ItemKind.values()) {
            BY_KIND.put(kind, Arrays.stream(values()).filter(f -> f.kind == kind).toList());
            BY_NAME.put(
                    kind,
                    BY_KIND.get(kind).stream()
                            .collect(Collectors.toUnmodifiableMap(f -> f.wire, f -> f)));
        }
    }

    private final ItemKind kind;
    private final String wire;

    // A record of copied lists: it does not change.
    @SuppressWarnings("ImmutableEnumChecker")
    private final FieldType type;

    private final String initial;

    Field(ItemKind kind, String wire, FieldType type, String initial) {
        this.kind = kind;
        this.wire = wire;
        this.type = type;
        this.initial = initial;
    }

    public ItemKind kind() {
        return kind;
    }

    /** The name used in JSON and in the database; unique within its kind. */
    public String wire() {
        return wire;
    }

    public FieldType type() {
        return type;
    }

    /** The text of an item that was stored before this field existed. */
    public String initial() {
        return initial;
    }

    /** Written by the product when it sees something, never by a person or a fix. */
    public boolean seen() {
        return this == FOUND;
    }

    static List<Field> of(ItemKind kind) {
        return BY_KIND.get(kind);
    }

    public static Optional<Field> fromWire(ItemKind kind, String name) {
        return Optional.ofNullable(BY_NAME.get(kind).get(name));
    }
}
