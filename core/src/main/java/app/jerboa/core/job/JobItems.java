package app.jerboa.core.job;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.profile.Function;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import app.jerboa.core.value.ItemRef;
import app.jerboa.core.value.TextRejected;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;

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
            case SITE -> SiteTexts.site(item);
            case SUBNET -> subnet(item);
            case RANGE -> range(item);
            case DEVICE -> DeviceTexts.device(item, shelf);
            case LINE -> line(item);
            case ROUTE -> route(item);
            case MOUNT -> mount(item);
            case RUN -> RunTexts.run(item);
            case PRICE -> RunTexts.price(item);
            case PREPARED -> prepared(item);
            case SECRET -> secret(item);
            case PROFILE -> profile(item, shelf);
            case WAIVER -> waiver(item);
        };
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

    private static Line line(Item i) {
        return new Line(
                i.ref().id(),
                Integer.parseInt(i.text(Field.NUMBER)),
                new DeviceId(Long.parseLong(i.text(Field.CAMERA))),
                Integer.parseInt(i.text(Field.CONTROL_ID)),
                key(i, Field.CONTROLLER, Field.KEY, "a controller and a key on it go together"),
                key(i, Field.ALSO, Field.ALSO_KEY, "a controller and a key on it go together"),
                key(i, Field.PANEL, Field.PANEL_KEY, "a paint panel and a key on it go together"),
                key(i, Field.SWITCHER, Field.INPUT, "a switcher and an input of it go together")
                        .map(k -> new Line.Input(k.controller(), k.number())),
                number(i, Field.TALLY),
                wants(i));
    }

    private static Optional<Line.Key> key(Item i, Field device, Field number, String together) {
        boolean there = !i.text(device).isEmpty();
        if (there != !i.text(number).isEmpty()) {
            throw new ItemRejected(i.ref(), number, new TextRejected(i.text(number), 0, together));
        }
        return there
                ? Optional.of(new Line.Key(id(i, device), Integer.parseInt(i.text(number))))
                : Optional.empty();
    }

    private static DeviceId id(Item i, Field field) {
        return new DeviceId(Long.parseLong(i.text(field)));
    }

    static Optional<DeviceId> idOrNone(Item i, Field field) {
        return i.text(field).isEmpty() ? Optional.empty() : Optional.of(id(i, field));
    }

    private static Optional<Set<Function>> wants(Item i) {
        String text = i.text(Field.WANTS);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Set<Function> wants = EnumSet.noneOf(Function.class);
        for (String word : text.split(" ", -1)) {
            wants.add(Function.of(word));
        }
        return Optional.of(Collections.unmodifiableSet(wants));
    }

    private static ChosenRoute route(Item i) {
        return new ChosenRoute(
                i.ref().id(),
                Long.parseLong(i.text(Field.ROUTE_LINE)),
                Function.of(i.text(Field.ROUTE_FUNCTION)),
                id(i, Field.ROUTE_BY),
                i.text(Field.ROUTE_PROTOCOL),
                idOrNone(i, Field.ROUTE_VIA));
    }

    private static Mount mount(Item i) {
        return new Mount(
                i.ref().id(),
                id(i, Field.MOUNT_CAMERA),
                i.text(Field.PLACE),
                number(i, Field.FIXING),
                Boolean.parseBoolean(i.text(Field.BOND)),
                Boolean.parseBoolean(i.text(Field.INVERTED)),
                i.text(Field.START_VIEW),
                number(i, Field.LEAD_ALLOWS),
                number(i, Field.PAN_LIMIT),
                number(i, Field.PLATE_TRAVEL),
                new Mount.Gimbal(
                        i.text(Field.BUS_SWITCH),
                        i.text(Field.FOLLOW),
                        number(i, Field.SMOOTHNESS)));
    }

    private static Waiver waiver(Item i) {
        return new Waiver(
                i.ref().id(), i.text(Field.WAIVED), i.text(Field.REASON), i.text(Field.WAIVED_BY));
    }

    private static Prepared prepared(Item i) {
        return new Prepared(
                i.ref().id(),
                idOrNone(i, Field.DONE_FOR),
                i.text(Field.DONE_PROFILE),
                i.text(Field.DONE_WHAT),
                i.text(Field.DONE_BY));
    }

    private static Secret secret(Item i) {
        return new Secret(
                i.ref().id(),
                idOrNone(i, Field.SECRET_FOR),
                i.text(Field.SECRET_USE),
                i.text(Field.SECRET_NAME),
                i.text(Field.SEALED),
                i.text(Field.PRINT),
                i.text(Field.SECRET_ORIGIN));
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

    static OptionalInt number(Item i, Field field) {
        String text = i.text(field);
        return text.isEmpty() ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(text));
    }

    static Optional<Ipv4> address(Item i, Field field) {
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
            return DeviceTexts.text(d, field);
        } else if (item instanceof Line l) {
            return text(l, field);
        } else if (item instanceof Mount m) {
            return text(m, field);
        } else if (item instanceof Run r) {
            return RunTexts.text(r, field);
        } else if (item instanceof Price p) {
            return RunTexts.text(p, field);
        }
        return houseText(item, field);
    }

    private static String houseText(JobItem item, Field field) {
        if (item instanceof Site s) {
            return SiteTexts.text(s, field);
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

    private static String noteText(JobItem item, Field field) {
        if (item instanceof ChosenRoute r) {
            return text(r, field);
        } else if (item instanceof Prepared p) {
            return switch (field) {
                case DONE_FOR -> orNone(p.device());
                case DONE_PROFILE -> p.profile();
                case DONE_WHAT -> p.what();
                case DONE_BY -> p.person();
                default -> throw wrong(item.ref(), field);
            };
        } else if (item instanceof OwnProfile p) {
            return p.facts();
        } else if (item instanceof Secret s) {
            return text(s, field);
        }
        Waiver w = (Waiver) item;
        return switch (field) {
            case WAIVED -> w.finding();
            case REASON -> w.reason();
            case WAIVED_BY -> w.person();
            default -> throw wrong(item.ref(), field);
        };
    }

    private static String text(Line l, Field field) {
        return switch (field) {
            case NUMBER -> Integer.toString(l.number());
            case CAMERA -> l.camera().toString();
            case CONTROL_ID -> Integer.toString(l.controlId());
            case CONTROLLER -> orNone(l.key().map(Line.Key::controller));
            case KEY -> orNone(l.key().map(Line.Key::number));
            case ALSO -> orNone(l.also().map(Line.Key::controller));
            case ALSO_KEY -> orNone(l.also().map(Line.Key::number));
            case PANEL -> orNone(l.paint().map(Line.Key::controller));
            case PANEL_KEY -> orNone(l.paint().map(Line.Key::number));
            case SWITCHER -> orNone(l.input().map(Line.Input::switcher));
            case INPUT -> orNone(l.input().map(Line.Input::number));
            case TALLY -> orNone(l.tally());
            case WANTS -> l.wants().map(JobItems::words).orElse("");
            default -> throw wrong(l.ref(), field);
        };
    }

    private static String text(Secret s, Field field) {
        return switch (field) {
            case SECRET_FOR -> orNone(s.device());
            case SECRET_USE -> s.use();
            case SECRET_NAME -> s.name();
            case SEALED -> s.sealed();
            case PRINT -> s.print();
            case SECRET_ORIGIN -> s.origin();
            default -> throw wrong(s.ref(), field);
        };
    }

    private static String words(Set<Function> wants) {
        return wants.stream().map(Function::toString).collect(Collectors.joining(" "));
    }

    private static String text(ChosenRoute r, Field field) {
        return switch (field) {
            case ROUTE_LINE -> Long.toString(r.line());
            case ROUTE_FUNCTION -> r.function().toString();
            case ROUTE_BY -> r.controller().toString();
            case ROUTE_PROTOCOL -> r.protocol();
            case ROUTE_VIA -> orNone(r.through());
            default -> throw wrong(r.ref(), field);
        };
    }

    private static String text(Mount m, Field field) {
        return switch (field) {
            case MOUNT_CAMERA -> m.camera().toString();
            case PLACE -> m.place();
            case FIXING -> orNone(m.fixingKg());
            case BOND -> Boolean.toString(m.bond());
            case INVERTED -> Boolean.toString(m.inverted());
            case START_VIEW -> m.startView();
            case LEAD_ALLOWS -> orNone(m.leadAllows());
            case PAN_LIMIT -> orNone(m.panLimit());
            case PLATE_TRAVEL -> orNone(m.plateTravelMm());
            case BUS_SWITCH -> m.gimbal().busSwitch();
            case FOLLOW -> m.gimbal().follow();
            case SMOOTHNESS -> orNone(m.gimbal().smoothness());
            default -> throw wrong(m.ref(), field);
        };
    }

    static String orNone(OptionalInt value) {
        return value.isPresent() ? Integer.toString(value.getAsInt()) : "";
    }

    static String orNone(Optional<?> value) {
        return value.map(Object::toString).orElse("");
    }

    static IllegalArgumentException wrong(ItemRef item, Field field) {
        return new IllegalArgumentException(item + " has no field " + field);
    }
}
