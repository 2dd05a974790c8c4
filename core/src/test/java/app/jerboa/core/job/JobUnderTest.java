package app.jerboa.core.job;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Lengths;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** A job that a test puts together piece by piece. */
public final class JobUnderTest {
    private final JobEditor editor;
    private final List<Item> items = new ArrayList<>();
    private final Map<DeviceId, Ipv4> found = new HashMap<>();

    public JobUnderTest(Profile... profiles) {
        editor = new JobEditor(TestShelf.of(profiles));
        add(ItemKind.SITE, Field.SITE_NAME, "Hall");
        add(
                ItemKind.SUBNET,
                Field.CIDR,
                "10.44.8.0/24",
                Field.SUBNET_GATEWAY,
                "10.44.8.254",
                Field.LAPTOP_HOME,
                "10.44.8.81");
    }

    /** Returns the new item's id. */
    public long add(ItemKind kind, Object... fieldsAndTexts) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        for (int i = 0; i < fieldsAndTexts.length; i += 2) {
            values.put((Field) fieldsAndTexts[i], String.valueOf(fieldsAndTexts[i + 1]));
        }
        long id = items.size() + 1L;
        items.add(new Item(new ItemRef(kind, id), values));
        return id;
    }

    public long device(String name, Profile profile, Object... more) {
        return add(ItemKind.DEVICE, with(more, Field.NAME, name, Field.PROFILE, profile.id()));
    }

    public long line(int number, long camera, Object... more) {
        return add(
                ItemKind.LINE,
                with(
                        more,
                        Field.NUMBER,
                        number,
                        Field.CAMERA,
                        camera,
                        Field.CONTROL_ID,
                        Math.min(number, 255)));
    }

    public long mount(long camera, Object... more) {
        return add(ItemKind.MOUNT, with(more, Field.MOUNT_CAMERA, camera));
    }

    /** From one socket to another, of this many metres. */
    public long run(
            long from,
            String port,
            long to,
            String socket,
            String cable,
            double metres,
            Object... more) {
        return add(
                ItemKind.RUN,
                with(
                        more,
                        Field.RUN_FROM,
                        from,
                        Field.FROM_PORT,
                        port,
                        Field.RUN_TO,
                        to,
                        Field.TO_PORT,
                        socket,
                        Field.CABLE,
                        cable,
                        Field.METRES,
                        Lengths.text(metres)));
    }

    /** What is given more goes before. */
    private static Object[] with(Object[] more, Object... basic) {
        List<Object> all = new ArrayList<>(List.of(basic));
        all.addAll(List.of(more));
        return all.toArray();
    }

    /** In a subnet of 65,534 hosts. */
    public void wide() {
        items.set(1, items.get(1).with(Field.CIDR, "10.44.0.0/16"));
    }

    public void site(Field field, String text) {
        items.set(0, items.get(0).with(field, text));
    }

    public JobEditor editor() {
        return editor;
    }

    /** It answered from there. */
    public void found(long device, String address) {
        found.put(new DeviceId(device), Ipv4.parse(address));
    }

    public Job job() {
        return editor.read(items).with(found);
    }

    /** The one finding of this code. */
    public Finding only(String code, Function<Job, List<Finding>> check) {
        List<Finding> found =
                check.apply(job()).stream().filter(f -> f.code().code().equals(code)).toList();
        if (found.size() != 1) {
            throw new AssertionError(code + " once, got " + check.apply(job()));
        }
        return found.get(0);
    }

    public List<String> codes(Function<Job, List<Finding>> check) {
        return codes(job(), check);
    }

    private static List<String> codes(Job job, Function<Job, List<Finding>> check) {
        return check.apply(job).stream().map(f -> f.code().code()).distinct().sorted().toList();
    }

    /** The codes that are left after a finding's fix. */
    public List<String> after(Fix fix, Function<Job, List<Finding>> check) {
        return codes(after(fix.changes()), check);
    }

    public Job after(ChangeSet changes) {
        return editor.apply(job(), changes.numbered(items.size() + 1L));
    }

    public static String text(Edit edit) {
        return edit.item() + " " + edit.field().wire() + " " + edit.before() + ">" + edit.after();
    }
}
