package app.jerboa.core.job;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import app.jerboa.core.value.ItemRef;
import app.jerboa.core.value.Lengths;
import app.jerboa.core.value.TextRejected;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/** Items between their two forms: texts as stored and exported, typed values as the rules read. */
public final class JobItems {
    private JobItems() {}

    /**
     * @throws ItemRejected for the first field, in the order of the kind, that does not say what it
     *     must
     */
    public static JobItem typed(Item item, ProfileShelf shelf) {
        for (Field field : item.ref().kind().fields()) {
            try {
                FieldCheck.check(field.type(), item.text(field), shelf);
            } catch (TextRejected e) {
                throw new ItemRejected(item.ref(), field, e);
            }
        }
        return trusted(item, shelf);
    }

    /** As {@link #typed}, for texts that were checked before they were stored. */
    static JobItem trusted(Item item, ProfileShelf shelf) {
        return switch (item.ref().kind()) {
            case SITE -> site(item);
            case SUBNET -> subnet(item);
            case RANGE -> range(item);
            case DEVICE -> device(item, shelf);
            case LINE -> line(item);
            case PREPARED -> prepared(item);
            case PROFILE -> profile(item, shelf);
            case WAIVER -> waiver(item);
        };
    }

    private static Site site(Item i) {
        Map<Field, String> schools = new EnumMap<>(Field.class);
        Schools.MATTERS.forEach(f -> schools.put(f, i.text(f)));
        Habits habits =
                new Habits(
                        i.text(Field.STANDARD),
                        Numbering.of(i.text(Field.NUMBERING)),
                        Integer.parseInt(i.text(Field.POWER_HEADROOM)),
                        Integer.parseInt(i.text(Field.LINK_HEADROOM)),
                        Double.parseDouble(i.text(Field.USUAL_RUN)),
                        schools);
        return new Site(i.ref().id(), i.text(Field.SITE_NAME), i.text(Field.UNITS), habits);
    }

    private static Subnet subnet(Item i) {
        return new Subnet(
                i.ref().id(),
                i.text(Field.SUBNET_NAME),
                number(i, Field.VLAN),
                Ipv4Subnet.parse(i.text(Field.CIDR)),
                Ipv4.parse(i.text(Field.SUBNET_GATEWAY)),
                Ipv4.parse(i.text(Field.LAPTOP_HOME)));
    }

    private static AddressRange range(Item i) {
        Ipv4 first = Ipv4.parse(i.text(Field.FIRST));
        Ipv4 last = Ipv4.parse(i.text(Field.LAST));
        if (first.compareTo(last) > 0) {
            String reason = "the range runs downwards: it starts at " + first;
            throw new ItemRejected(
                    i.ref(), Field.LAST, new TextRejected(last.toString(), 0, reason));
        }
        return new AddressRange(
                i.ref().id(),
                i.text(Field.RANGE_USE),
                new Ipv4Range(first, last),
                i.text(Field.HOLDER));
    }

    private static Device device(Item i, ProfileShelf shelf) {
        return new Device(
                new DeviceId(i.ref().id()),
                i.text(Field.NAME),
                shelf.find(i.text(Field.PROFILE)).orElseThrow(),
                i.text(Field.MAC),
                i.text(Field.SERIAL_NUMBER),
                i.text(Field.FIRMWARE),
                i.text(Field.CONDITION),
                i.text(Field.FORMAT_SET),
                address(i, Field.ADDRESS),
                Integer.parseInt(i.text(Field.PREFIX)),
                address(i, Field.GATEWAY),
                Boolean.parseBoolean(i.text(Field.RESERVED)),
                address(i, Field.FOUND));
    }

    private static Line line(Item i) {
        boolean keyed = !i.text(Field.CONTROLLER).isEmpty();
        if (keyed != !i.text(Field.KEY).isEmpty()) {
            String reason = "a controller and a key on it go together";
            throw new ItemRejected(
                    i.ref(), Field.KEY, new TextRejected(i.text(Field.KEY), 0, reason));
        }
        Optional<Line.Key> key =
                keyed
                        ? Optional.of(
                                new Line.Key(
                                        new DeviceId(Long.parseLong(i.text(Field.CONTROLLER))),
                                        Integer.parseInt(i.text(Field.KEY))))
                        : Optional.empty();
        return new Line(
                i.ref().id(),
                Integer.parseInt(i.text(Field.NUMBER)),
                new DeviceId(Long.parseLong(i.text(Field.CAMERA))),
                Integer.parseInt(i.text(Field.CONTROL_ID)),
                key);
    }

    private static Waiver waiver(Item i) {
        return new Waiver(
                i.ref().id(), i.text(Field.WAIVED), i.text(Field.REASON), i.text(Field.WAIVED_BY));
    }

    private static Prepared prepared(Item i) {
        String device = i.text(Field.DONE_FOR);
        return new Prepared(
                i.ref().id(),
                device.isEmpty()
                        ? Optional.empty()
                        : Optional.of(new DeviceId(Long.parseLong(device))),
                i.text(Field.DONE_PROFILE),
                i.text(Field.DONE_WHAT),
                i.text(Field.DONE_BY));
    }

    private static OwnProfile profile(Item i, ProfileShelf shelf) {
        String facts = i.text(Field.FACTS);
        Profile profile = shelf.read(facts);
        if (shelf.shipped(profile.id())) {
            String reason = "there is a shipped profile with the id " + profile.id();
            throw new ItemRejected(i.ref(), Field.FACTS, new TextRejected(facts, 0, reason));
        }
        return new OwnProfile(i.ref().id(), profile, facts);
    }

    private static OptionalInt number(Item i, Field field) {
        String text = i.text(field);
        return text.isEmpty() ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(text));
    }

    private static Optional<Ipv4> address(Item i, Field field) {
        String text = i.text(field);
        return text.isEmpty() ? Optional.empty() : Optional.of(Ipv4.parse(text));
    }

    public static Item item(JobItem item) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        for (Field field : item.ref().kind().fields()) {
            texts.put(field, text(item, field));
        }
        return new Item(item.ref(), texts);
    }

    /**
     * One field as its text.
     *
     * @throws IllegalArgumentException for a field of another kind
     */
    public static String text(JobItem item, Field field) {
        if (item instanceof Device d) {
            return text(d, field);
        } else if (item instanceof Line l) {
            return text(l, field);
        }
        return houseText(item, field);
    }

    private static String houseText(JobItem item, Field field) {
        if (item instanceof Site s) {
            return text(s, field);
        } else if (item instanceof Subnet s) {
            return switch (field) {
                case SUBNET_NAME -> s.name();
                case VLAN -> orNone(s.vlan());
                case CIDR -> s.range().toString();
                case SUBNET_GATEWAY -> s.gateway().toString();
                case LAPTOP_HOME -> s.laptopHome().toString();
                default -> throw wrong(item.ref(), field);
            };
        } else if (item instanceof AddressRange r) {
            return switch (field) {
                case RANGE_USE -> r.use();
                case FIRST -> r.range().first().toString();
                case LAST -> r.range().last().toString();
                case HOLDER -> r.holder();
                default -> throw wrong(item.ref(), field);
            };
        }
        return noteText(item, field);
    }

    private static String text(Site s, Field field) {
        Habits habits = s.habits();
        return switch (field) {
            case SITE_NAME -> s.name();
            case UNITS -> s.units();
            case STANDARD -> habits.standard();
            case NUMBERING -> habits.numbering().word();
            case POWER_HEADROOM -> Integer.toString(habits.powerHeadroom());
            case LINK_HEADROOM -> Integer.toString(habits.linkHeadroom());
            case USUAL_RUN -> Lengths.text(habits.usualRun());
            default -> habits.school(field);
        };
    }

    private static String noteText(JobItem item, Field field) {
        if (item instanceof Prepared p) {
            return switch (field) {
                case DONE_FOR -> orNone(p.device());
                case DONE_PROFILE -> p.profile();
                case DONE_WHAT -> p.what();
                case DONE_BY -> p.person();
                default -> throw wrong(item.ref(), field);
            };
        } else if (item instanceof OwnProfile p) {
            return p.facts();
        }
        Waiver w = (Waiver) item;
        return switch (field) {
            case WAIVED -> w.finding();
            case REASON -> w.reason();
            case WAIVED_BY -> w.person();
            default -> throw wrong(item.ref(), field);
        };
    }

    public static String text(Device d, Field field) {
        return switch (field) {
            case NAME -> d.name();
            case PROFILE -> d.profile().id();
            case MAC -> d.mac();
            case SERIAL_NUMBER -> d.serialNumber();
            case FIRMWARE -> d.firmware();
            case CONDITION -> d.condition();
            case FORMAT_SET -> d.format();
            case ADDRESS -> orNone(d.address());
            case PREFIX -> Integer.toString(d.prefix());
            case GATEWAY -> orNone(d.gateway());
            case RESERVED -> Boolean.toString(d.reserved());
            case FOUND -> orNone(d.found());
            default -> throw wrong(d.ref(), field);
        };
    }

    private static String text(Line l, Field field) {
        return switch (field) {
            case NUMBER -> Integer.toString(l.number());
            case CAMERA -> l.camera().toString();
            case CONTROL_ID -> Integer.toString(l.controlId());
            case CONTROLLER -> orNone(l.key().map(Line.Key::controller));
            case KEY -> orNone(l.key().map(Line.Key::number));
            default -> throw wrong(l.ref(), field);
        };
    }

    private static String orNone(OptionalInt value) {
        return value.isPresent() ? Integer.toString(value.getAsInt()) : "";
    }

    private static String orNone(Optional<?> value) {
        return value.map(Object::toString).orElse("");
    }

    private static IllegalArgumentException wrong(ItemRef item, Field field) {
        return new IllegalArgumentException(item + " has no field " + field);
    }
}
