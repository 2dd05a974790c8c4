package app.jerboa.server.jobfile;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.FieldType;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.job.edit.ItemMissing;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.profile.DeviceSocket;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * Jobs of any kind that a file may hold: every field of every kind of item takes any text that its
 * declaration allows, the ends of its range above all. The same for the same seed.
 */
public final class AnyJob {
    private static final String[] NAMES = {"L1", "L2", "Bühne", "a \"quoted\" name", "=1+1", "撮影機"};

    private final Random random;
    private final ProfileShelf shelf;
    private final List<String> profiles;
    private final List<Item> items = new ArrayList<>();

    private AnyJob(long seed, ProfileShelf shelf, List<String> profiles) {
        this.random = new Random(seed);
        this.shelf = shelf;
        this.profiles = profiles;
    }

    /**
     * @param profiles ids to choose from
     * @return empty when what came up by chance is no job
     */
    public static Optional<byte[]> file(long seed, ProfileShelf shelf, List<String> profiles) {
        return job(seed, shelf, profiles).map(j -> JobFileWriter.write(j, List.of()));
    }

    static Optional<Job> job(long seed, ProfileShelf shelf, List<String> profiles) {
        return new AnyJob(seed, shelf, profiles).job();
    }

    private Optional<Job> job() {
        add(ItemKind.SITE, 1);
        add(ItemKind.SUBNET, 1);
        add(ItemKind.RANGE, random.nextInt(3));
        add(ItemKind.DEVICE, 2 + random.nextInt(9));
        add(ItemKind.LINE, random.nextInt(6));
        add(ItemKind.ROUTE, random.nextInt(3));
        add(ItemKind.MOUNT, random.nextInt(4));
        add(ItemKind.PRESET, random.nextInt(4));
        add(ItemKind.SHOT_LIST, random.nextInt(3));
        add(ItemKind.TAKE, random.nextInt(8));
        add(ItemKind.RUN, random.nextInt(10));
        add(ItemKind.PRICE, random.nextInt(2));
        add(ItemKind.PREPARED, random.nextInt(3));
        add(ItemKind.WAIVER, random.nextInt(2));
        try {
            return Optional.of(new JobEditor(shelf).read(items));
        } catch (ItemRejected | ItemMissing no) {
            return Optional.empty();
        }
    }

    private void add(ItemKind kind, int count) {
        for (int i = 0; i < count; i++) {
            boolean possible =
                    kind.fields().stream()
                            .filter(f -> f.type().target().isPresent() && !f.type().optional())
                            .noneMatch(f -> of(f.type().target().orElseThrow()).isEmpty());
            if (possible) {
                Map<Field, String> texts = new EnumMap<>(Field.class);
                kind.fields().forEach(f -> texts.put(f, text(f, texts)));
                items.add(new Item(new ItemRef(kind, items.size() + 1L), texts));
            }
        }
    }

    private List<Item> of(ItemKind kind) {
        return items.stream().filter(i -> i.ref().kind() == kind).toList();
    }

    private String text(Field field, Map<Field, String> before) {
        FieldType type = field.type();
        if (type.optional() && random.nextInt(3) == 0) {
            return "";
        }
        return switch (field) {
            case CIDR -> "10.44.8.0/" + any("24", "25", "28");
            case FROM_PORT -> socket(before.get(Field.RUN_FROM));
            case TO_PORT -> socket(before.get(Field.RUN_TO));
            case SOFT_LEFT, SOFT_DOWN -> Long.toString(number(-72_000, -1));
            case SOFT_RIGHT, SOFT_UP -> Long.toString(number(0, 72_000));
            case SOFT_ROLL_LEFT, SOFT_RAIL_FROM -> Long.toString(number(-36_000, -1));
            case SOFT_ROLL_RIGHT, SOFT_RAIL_TO -> Long.toString(number(0, 36_000));
            case LAST -> "10.44.8." + (60 + random.nextInt(60));
            case FIRST -> "10.44.8." + random.nextInt(60);
            default -> text(type);
        };
    }

    private String text(FieldType type) {
        return switch (type.shape()) {
            case NAME, TEXT -> any(NAMES) + "x".repeat((int) Math.max(0, type.least() - 2));
            case NUMBER -> Long.toString(number(type.least(), type.most()));
            case FLAG -> any("true", "false");
            case CHOICE -> any(type.choices().toArray(String[]::new));
            case LIST ->
                    String.join(
                            " ",
                            type.choices().stream().filter(c -> random.nextInt(3) > 0).toList());
            case ADDRESS -> "10.44.8." + random.nextInt(40);
            case SUBNET -> "10.44.8.0/24";
            case MAC -> "02:4a:00:00:00:0" + random.nextInt(10);
            case PROFILE -> any(profiles.toArray(String[]::new));
            case LENGTH -> Long.toString(number(type.least(), type.most()));
            case REFERENCE -> {
                List<Item> there = of(type.target().orElseThrow());
                yield there.isEmpty()
                        ? ""
                        : Long.toString(there.get(random.nextInt(there.size())).ref().id());
            }
            case FACTS -> throw new IllegalStateException("profiles of a job are tested apart");
        };
    }

    private long number(long least, long most) {
        return switch (random.nextInt(5)) {
            case 0 -> least;
            case 1 -> most;
            case 2 -> Math.min(most, least + random.nextInt(4));
            default -> least + (long) (random.nextDouble() * (Math.min(most, 400) - least));
        };
    }

    /** Mostly one that the device has. */
    private String socket(String device) {
        Item of = items.get((int) Long.parseLong(device) - 1);
        List<DeviceSocket> sockets =
                shelf.find(of.text(Field.PROFILE)).map(DeviceSocket::of).orElse(List.of());
        return sockets.isEmpty() || random.nextInt(8) == 0
                ? "NO SUCH SOCKET"
                : sockets.get(random.nextInt(sockets.size())).name();
    }

    private String any(String... words) {
        return words[random.nextInt(words.length)];
    }
}
