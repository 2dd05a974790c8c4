package app.jerboa.core.item;

import app.jerboa.core.item.FieldType.Shape;
import app.jerboa.core.value.Formats;
import app.jerboa.core.value.Functions;
import app.jerboa.core.value.Secrets;
import app.jerboa.core.value.Wiring;
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
    /** The one picture format of the whole job. */
    STANDARD(ItemKind.SITE, "standard", FieldType.choice(Formats.ALL), "1080p50"),
    /** How cameras are numbered: L1, LA or L0 for the first. */
    NUMBERING(
            ItemKind.SITE,
            "numbering",
            FieldType.choice("numbers", "letters", "from-zero"),
            "numbers"),
    /** How times of day are read out. */
    CLOCK(ItemKind.SITE, "clock", FieldType.choice("24-hour", "12-hour"), "24-hour"),
    /** Share of a power budget that is kept free, in per cent. */
    POWER_HEADROOM(ItemKind.SITE, "powerHeadroom", FieldType.number(0, 80), "20"),
    /** Share of a link that is kept free, in per cent. */
    LINK_HEADROOM(ItemKind.SITE, "linkHeadroom", FieldType.number(0, 80), "25"),
    /** How many times what hangs overhead its fixing must hold; local codes go before. */
    FIXING_FACTOR(ItemKind.SITE, "fixingFactor", FieldType.number(1, 20), "5"),
    /** What a run is long until it is measured, in metres. */
    USUAL_RUN(ItemKind.SITE, "usualRun", FieldType.length(1, 1000), "30"),
    /** What is cut longer than a run is, in per cent. */
    CABLE_SLACK(ItemKind.SITE, "cableSlack", FieldType.number(0, 50), "10"),
    /** What a reel of cable holds, in metres. */
    REEL(ItemKind.SITE, "reel", FieldType.length(10, 2000), "305"),
    /** How many more of each thing go on the van, in per cent. */
    SPARES(ItemKind.SITE, "spares", FieldType.number(0, 100), "10"),
    /** What the house's line to the outside takes upwards, in Mb/s. */
    UPLINK(ItemKind.SITE, "uplink", FieldType.number(1, 100_000).orNone(), ""),
    /** The service that the programme is sent to; may be blank. */
    SERVICE(ItemKind.SITE, "service", FieldType.name(60).orNone(), ""),
    /** What the programme is sent out at, in Mb/s. */
    OUTGOING(ItemKind.SITE, "outgoing", FieldType.number(1, 1000).orNone(), ""),
    /**
     * Seconds a technician takes for each kind of work of a bring-up, until enough were measured.
     */
    SECONDS_HOP(ItemKind.SITE, "secondsHop", FieldType.number(1, 3600), "45"),
    SECONDS_ALIAS(ItemKind.SITE, "secondsAlias", FieldType.number(1, 3600), "20"),
    SECONDS_PLUG(ItemKind.SITE, "secondsPlug", FieldType.number(1, 3600), "20"),
    SECONDS_RESET(ItemKind.SITE, "secondsReset", FieldType.number(1, 3600), "60"),
    SECONDS_UPDATE(ItemKind.SITE, "secondsUpdate", FieldType.number(1, 3600), "60"),
    SECONDS_LEASE(ItemKind.SITE, "secondsLease", FieldType.number(1, 3600), "30"),
    SECONDS_SEARCH(ItemKind.SITE, "secondsSearch", FieldType.number(1, 3600), "30"),
    SECONDS_PAIR(ItemKind.SITE, "secondsPair", FieldType.number(1, 3600), "30"),
    SECONDS_PORT(ItemKind.SITE, "secondsPort", FieldType.number(1, 3600), "5"),
    SECONDS_SET(ItemKind.SITE, "secondsSet", FieldType.number(1, 3600), "60"),
    SECONDS_VERIFY(ItemKind.SITE, "secondsVerify", FieldType.number(1, 3600), "15"),
    SECONDS_LABEL(ItemKind.SITE, "secondsLabel", FieldType.number(1, 3600), "20"),
    /** Minutes there are in the workshop before the van leaves; none when there is no time. */
    WORKSHOP(ItemKind.SITE, "workshop", FieldType.number(1, 10_000).orNone(), ""),
    /** Jerboa runs on the technician's laptop while others use it. */
    LAPTOP_SERVES(ItemKind.SITE, "laptopServes", FieldType.of(Shape.FLAG), "false"),
    PRACTICE_ADDRESSES(
            ItemKind.SITE,
            "schoolAddresses",
            FieldType.choice("static", "reservation", "lease"),
            "static"),
    PRACTICE_REACH(
            ItemKind.SITE,
            "schoolReach",
            FieldType.choice(
                    "hop", "second-address", "lease", "search", "pairing-code", "switch-port"),
            "hop"),
    PRACTICE_WIRING(
            ItemKind.SITE,
            "schoolWiring",
            FieldType.choice("ip", "rs-232", "rs-485", "mixed"),
            "mixed"),
    PRACTICE_FILLING(
            ItemKind.SITE,
            "schoolFilling",
            FieldType.choice("web-page", "panel", "search", "counting", "mixed"),
            "mixed"),
    PRACTICE_POWER(
            ItemKind.SITE,
            "schoolPower",
            FieldType.choice("poe", "local", "over-the-run", "battery", "mixed"),
            "mixed"),
    PRACTICE_FOCUS(
            ItemKind.SITE, "schoolFocus", FieldType.choice("locked", "auto", "tracking"), "locked"),
    PRACTICE_STICK(
            ItemKind.SITE, "schoolStick", FieldType.choice("progressive", "linear"), "progressive"),
    PRACTICE_ACCESS(
            ItemKind.SITE,
            "schoolAccess",
            FieldType.choice("direct", "through-recorder"),
            "direct"),
    PRACTICE_PRESETS(
            ItemKind.SITE,
            "schoolPresets",
            FieldType.choice("camera", "controller", "software", "mixed"),
            "mixed"),

    /** What it is for, for example {@code control}; may be blank. */
    SUBNET_NAME(ItemKind.SUBNET, "name", FieldType.name(40).orNone(), ""),
    /** VLAN id by IEEE 802.1Q; none for untagged. */
    VLAN(ItemKind.SUBNET, "vlan", FieldType.number(1, 4094).orNone(), ""),
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
    /** From its label. */
    SERIAL_NUMBER(ItemKind.DEVICE, "serialNumber", FieldType.name(40).orNone(), ""),
    /** Firmware as found, for example {@code 2.4.1}. */
    FIRMWARE(ItemKind.DEVICE, "firmware", FieldType.name(20).orNone(), ""),
    /** Where it comes from: what is not new is reset first. */
    CONDITION(
            ItemKind.DEVICE, "condition", FieldType.choice("new", "rental", "second-hand"), "new"),
    /** Picture format as its dial or menu is set; none while nobody looked. */
    FORMAT_SET(ItemKind.DEVICE, "format", FieldType.choice(Formats.ALL).orNone(), ""),
    /** Planned IPv4 address. */
    ADDRESS(ItemKind.DEVICE, "address", FieldType.of(Shape.ADDRESS).orNone(), ""),
    /** Prefix length the device is to use. */
    PREFIX(ItemKind.DEVICE, "prefix", FieldType.number(8, 30), "24"),
    /** Gateway the device is to use. */
    GATEWAY(ItemKind.DEVICE, "gateway", FieldType.of(Shape.ADDRESS).orNone(), ""),
    /** The address is reserved for this device's MAC in the DHCP pool. */
    RESERVED(ItemKind.DEVICE, "reserved", FieldType.of(Shape.FLAG), "false"),
    /** What it is fitted to: the camera of a lens, of an adapter, of a zoom motor. */
    FITTED(ItemKind.DEVICE, "fitted", FieldType.to(ItemKind.DEVICE).orNone(), ""),
    /** Its centre of mass from the tilt axis along the slide, towards the front, in mm. */
    ALONG(ItemKind.DEVICE, "along", FieldType.number(-2000, 2000).orNone(), ""),
    /** The same when zoomed all the way, of a lens that lengthens. */
    ALONG_ZOOMED(ItemKind.DEVICE, "alongZoomed", FieldType.number(-2000, 2000).orNone(), ""),
    /** Its centre of mass from the tilt axis upwards, in mm. */
    ABOVE(ItemKind.DEVICE, "above", FieldType.number(-2000, 2000).orNone(), ""),
    /** Baud its serial port is set to; none as it came from the factory. */
    BAUD(ItemKind.DEVICE, "baud", FieldType.number(300, 1_000_000).orNone(), ""),
    /** Data bits, parity and stop bits it is set to; none as it came from the factory. */
    FRAMING(ItemKind.DEVICE, "framing", FieldType.choice(Wiring.FRAMINGS).orNone(), ""),
    /** What its serial port is set to speak, where it can speak several. */
    SERIAL_PROTOCOL(
            ItemKind.DEVICE,
            "serialProtocol",
            FieldType.choice("visca-serial", "d-protocol").orNone(),
            ""),
    /** 120 ohm stand across its bus terminals, switched on or screwed in. */
    TERMINATOR(ItemKind.DEVICE, "terminator", FieldType.of(Shape.FLAG), "false"),
    /** Its infrared receiver is switched off. */
    IR_OFF(ItemKind.DEVICE, "irOff", FieldType.of(Shape.FLAG), "false"),
    /** How many take its network picture. */
    VIEWERS(ItemKind.DEVICE, "viewers", FieldType.number(0, 500).orNone(), ""),
    /** Bit rate its network picture is set to, in Mb/s; none for what its codec usually takes. */
    STREAM_RATE(ItemKind.DEVICE, "streamRate", FieldType.number(1, 1000).orNone(), ""),
    /** A stick right is head left at every desk. */
    PAN_ROUND(ItemKind.DEVICE, "panRound", FieldType.of(Shape.FLAG), "false"),
    /** A stick up is head down at every desk. */
    TILT_ROUND(ItemKind.DEVICE, "tiltRound", FieldType.of(Shape.FLAG), "false"),
    /** No desk takes its head farther left than this, in hundredths of a degree from its middle. */
    SOFT_LEFT(ItemKind.DEVICE, "softLeft", FieldType.number(-72_000, 72_000).orNone(), ""),
    SOFT_RIGHT(ItemKind.DEVICE, "softRight", FieldType.number(-72_000, 72_000).orNone(), ""),
    SOFT_DOWN(ItemKind.DEVICE, "softDown", FieldType.number(-72_000, 72_000).orNone(), ""),
    SOFT_UP(ItemKind.DEVICE, "softUp", FieldType.number(-72_000, 72_000).orNone(), ""),
    SOFT_ROLL_LEFT(ItemKind.DEVICE, "softRollLeft", FieldType.number(-36_000, 36_000).orNone(), ""),
    SOFT_ROLL_RIGHT(
            ItemKind.DEVICE, "softRollRight", FieldType.number(-36_000, 36_000).orNone(), ""),
    /** In centimetres from the start of its rail. */
    SOFT_RAIL_FROM(ItemKind.DEVICE, "softRailFrom", FieldType.number(-36_000, 36_000).orNone(), ""),
    SOFT_RAIL_TO(ItemKind.DEVICE, "softRailTo", FieldType.number(-36_000, 36_000).orNone(), ""),
    NUMBER(ItemKind.LINE, "number", FieldType.number(1, 999), ""),
    CAMERA(ItemKind.LINE, "camera", FieldType.to(ItemKind.DEVICE), ""),
    /** The number it answers to: VISCA 1 to 7, a bus 1 to 255. */
    CONTROL_ID(ItemKind.LINE, "controlId", FieldType.number(1, 255), ""),
    CONTROLLER(ItemKind.LINE, "controller", FieldType.to(ItemKind.DEVICE).orNone(), ""),
    KEY(ItemKind.LINE, "key", FieldType.number(0, 9999).orNone(), ""),
    /** A second controller that drives it too, and the key on that. */
    ALSO(ItemKind.LINE, "also", FieldType.to(ItemKind.DEVICE).orNone(), ""),
    ALSO_KEY(ItemKind.LINE, "alsoKey", FieldType.number(0, 9999).orNone(), ""),
    /** The paint panel, and the key on it. */
    PANEL(ItemKind.LINE, "panel", FieldType.to(ItemKind.DEVICE).orNone(), ""),
    PANEL_KEY(ItemKind.LINE, "panelKey", FieldType.number(0, 9999).orNone(), ""),
    /** Where its picture goes. */
    SWITCHER(ItemKind.LINE, "switcher", FieldType.to(ItemKind.DEVICE).orNone(), ""),
    INPUT(ItemKind.LINE, "input", FieldType.number(1, 99).orNone(), ""),
    /** The tally it lights with; none for that of its input. */
    TALLY(ItemKind.LINE, "tally", FieldType.number(1, 99).orNone(), ""),
    /** What must be controlled from afar; none for what is usual for the camera. */
    WANTS(ItemKind.LINE, "wants", FieldType.list(Functions.WORDS).orNone(), ""),

    /** A control route that somebody chose instead of the proposed one. */
    ROUTE_LINE(ItemKind.ROUTE, "line", FieldType.to(ItemKind.LINE), ""),
    ROUTE_FUNCTION(ItemKind.ROUTE, "function", FieldType.choice(Functions.WORDS), ""),
    ROUTE_BY(ItemKind.ROUTE, "controller", FieldType.to(ItemKind.DEVICE), ""),
    /** The protocol the controller speaks, for example {@code visca-ip}. */
    ROUTE_PROTOCOL(ItemKind.ROUTE, "protocol", FieldType.name(40), ""),
    /** What it goes through first; none for straight to the camera. */
    ROUTE_VIA(ItemKind.ROUTE, "through", FieldType.to(ItemKind.DEVICE).orNone(), ""),

    MOUNT_CAMERA(ItemKind.MOUNT, "camera", FieldType.to(ItemKind.DEVICE), ""),
    PLACE(
            ItemKind.MOUNT,
            "place",
            FieldType.choice("ceiling", "truss", "wall", "pole", "tripod", "rail", "desk").orNone(),
            ""),
    /** What the fixing is rated for, in kg. */
    FIXING(ItemKind.MOUNT, "fixing", FieldType.number(1, 5000).orNone(), ""),
    /** A second, independent safety bond is there. */
    BOND(ItemKind.MOUNT, "bond", FieldType.of(Shape.FLAG), "false"),
    INVERTED(ItemKind.MOUNT, "inverted", FieldType.of(Shape.FLAG), "false"),
    /** Where it looks after power-up. */
    START_VIEW(
            ItemKind.MOUNT,
            "startView",
            FieldType.choice("home", "last-place", "preset-1").orNone(),
            ""),
    /** How far it may turn each way before its lead wraps or pulls, in degrees. */
    LEAD_ALLOWS(ItemKind.MOUNT, "leadAllows", FieldType.number(1, 3600).orNone(), ""),
    /** Rotation limit as set in the head, each way, in degrees. */
    PAN_LIMIT(ItemKind.MOUNT, "panLimit", FieldType.number(1, 3600).orNone(), ""),
    /** How far the plate can slide each way, in mm. */
    PLATE_TRAVEL(ItemKind.MOUNT, "plateTravel", FieldType.number(0, 500).orNone(), ""),
    /** Position of a gimbal's control-bus switch. */
    BUS_SWITCH(ItemKind.MOUNT, "busSwitch", FieldType.name(40).orNone(), ""),
    FOLLOW(ItemKind.MOUNT, "follow", FieldType.choice("lock", "pan", "pan-and-tilt").orNone(), ""),
    /** How much a gimbal rounds the stick off, in per cent. */
    SMOOTHNESS(ItemKind.MOUNT, "smoothness", FieldType.number(0, 100).orNone(), ""),

    PRESET_CAMERA(ItemKind.PRESET, "camera", FieldType.to(ItemKind.DEVICE), ""),
    /** As the camera calls it. */
    PRESET_NUMBER(ItemKind.PRESET, "number", FieldType.number(0, 999), ""),
    PRESET_NAME(ItemKind.PRESET, "name", FieldType.name(40).orNone(), ""),
    /** What it shows; blank for its name. Two views of one subject can stand for each other. */
    PRESET_SUBJECT(ItemKind.PRESET, "subject", FieldType.name(40).orNone(), ""),
    PRESET_NOTE(ItemKind.PRESET, "note", FieldType.name(120).orNone(), ""),
    /** Where it pointed when it was stored, in hundredths of a degree right of its middle. */
    KEPT_PAN(ItemKind.PRESET, "pan", FieldType.number(-72_000, 72_000).orNone(), ""),
    KEPT_TILT(ItemKind.PRESET, "tilt", FieldType.number(-72_000, 72_000).orNone(), ""),
    /** How far it was zoomed in, 0 to 16384. */
    KEPT_ZOOM(ItemKind.PRESET, "zoom", FieldType.number(0, 65_535).orNone(), ""),
    /** What its knobs were read at, for example {@code iris=12;gain=3}. */
    KEPT_KNOBS(ItemKind.PRESET, "knobs", FieldType.text(1, 400).orNone(), ""),
    /** When all that was read, by ISO 8601. */
    KEPT_AT(ItemKind.PRESET, "keptAt", FieldType.name(40).orNone(), ""),
    KEPT_BY(ItemKind.PRESET, "keptBy", FieldType.name(100).orNone(), ""),

    SHOTS_NAME(ItemKind.SHOT_LIST, "name", FieldType.name(60), ""),

    TAKE_LIST(ItemKind.TAKE, "list", FieldType.to(ItemKind.SHOT_LIST), ""),
    /** Tenths of a second from the beginning of its list. */
    TAKE_START(ItemKind.TAKE, "start", FieldType.number(0, 864_000), "0"),
    /** Tenths of a second that it lasts at least. */
    TAKE_LENGTH(ItemKind.TAKE, "length", FieldType.number(1, 864_000), "50"),
    TAKE_CAMERA(ItemKind.TAKE, "camera", FieldType.to(ItemKind.DEVICE), ""),
    /** As the camera calls it; none where somebody drives by hand. */
    TAKE_PRESET(ItemKind.TAKE, "preset", FieldType.number(0, 999).orNone(), ""),
    /** What it shows; blank for what its preset shows. */
    TAKE_SUBJECT(ItemKind.TAKE, "subject", FieldType.name(40).orNone(), ""),
    /** What is waited for, for example {@code last stone leaves the hand}. */
    TAKE_CUE(ItemKind.TAKE, "cue", FieldType.name(80).orNone(), ""),

    /** Where it starts: what gives, or the end nearer to the desk. */
    RUN_FROM(ItemKind.RUN, "from", FieldType.to(ItemKind.DEVICE), ""),
    /** A socket by its name, with its number where there are several: {@code PORT 3}. */
    FROM_PORT(ItemKind.RUN, "fromPort", FieldType.name(60), ""),
    FROM_PINS(ItemKind.RUN, "fromPins", FieldType.choice(Wiring.PINS).orNone(), ""),
    RUN_TO(ItemKind.RUN, "to", FieldType.to(ItemKind.DEVICE), ""),
    TO_PORT(ItemKind.RUN, "toPort", FieldType.name(60), ""),
    TO_PINS(ItemKind.RUN, "toPins", FieldType.choice(Wiring.PINS).orNone(), ""),
    CABLE(ItemKind.RUN, "cable", FieldType.choice(Wiring.CABLES), "data"),
    /** American wire gauge of its conductors; none for what is usual for the cable. */
    GAUGE(ItemKind.RUN, "gauge", FieldType.choice(Wiring.GAUGES).orNone(), ""),
    /** Aluminium with a skin of copper. */
    CLAD(ItemKind.RUN, "clad", FieldType.of(Shape.FLAG), "false"),
    /** Conductors bonded together on each way of DC. */
    CONDUCTORS(ItemKind.RUN, "conductors", FieldType.number(1, 8), "1"),
    METRES(ItemKind.RUN, "metres", FieldType.length(0, 5000), "30"),
    /** Whether power goes over it, where its port can give some. */
    POE_ON(ItemKind.RUN, "poe", FieldType.of(Shape.FLAG), "true"),
    /** As written on both its ends. */
    RUN_LABEL(ItemKind.RUN, "label", FieldType.name(40).orNone(), ""),
    LAID(
            ItemKind.RUN,
            "laid",
            FieldType.choice("indoor", "conduit", "outdoor", "rated-jacket"),
            "indoor"),
    /** Directions a serial lead from a network decoder is subscribed to. */
    SUBSCRIBED(
            ItemKind.RUN,
            "subscribed",
            FieldType.list(List.of("to-camera", "from-camera")).orNone(),
            ""),

    /** The material as the list of materials names it. */
    PRICED(ItemKind.PRICE, "material", FieldType.text(1, 120), ""),
    /** In hundredths of the house's currency. */
    HUNDREDTHS(ItemKind.PRICE, "hundredths", FieldType.number(0, 100_000_000), "0"),

    /** The device it is done for; none when it is done once for all of a profile. */
    DONE_FOR(ItemKind.PREPARED, "device", FieldType.to(ItemKind.DEVICE).orNone(), ""),
    DONE_PROFILE(ItemKind.PREPARED, "profile", FieldType.of(Shape.PROFILE), ""),
    /** What was fetched, loaded, charged or reset. */
    DONE_WHAT(ItemKind.PREPARED, "what", FieldType.text(1, 120), ""),
    DONE_BY(ItemKind.PREPARED, "person", FieldType.name(100), ""),

    /**
     * The device it belongs to; none when it is the house's, as the passphrase of a wireless
     * network.
     */
    SECRET_FOR(ItemKind.SECRET, "device", FieldType.to(ItemKind.DEVICE).orNone(), ""),
    SECRET_USE(ItemKind.SECRET, "use", FieldType.choice(Secrets.USES), "password"),
    /** The user it belongs to, the network's name, or the service. */
    SECRET_NAME(ItemKind.SECRET, "name", FieldType.name(64).orNone(), ""),
    /** Encrypted; only the server can open it. */
    SEALED(ItemKind.SECRET, "sealed", FieldType.text(1, 1000), ""),
    /** The same for the same secret, and nothing else can be told from it. */
    FINGERPRINT(ItemKind.SECRET, "print", FieldType.text(1, 100), ""),
    SECRET_ORIGIN(ItemKind.SECRET, "origin", FieldType.choice(Secrets.ORIGINS), "typed"),

    /** A whole profile as its JSON. */
    FACTS(ItemKind.PROFILE, "facts", FieldType.of(Shape.FACTS), ""),

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

    /** The text of an item that was stored without this field; once shipped it never changes. */
    public String initial() {
        return initial;
    }

    static List<Field> of(ItemKind kind) {
        return BY_KIND.get(kind);
    }

    public static Optional<Field> fromWire(ItemKind kind, String name) {
        return Optional.ofNullable(BY_NAME.get(kind).get(name));
    }
}
