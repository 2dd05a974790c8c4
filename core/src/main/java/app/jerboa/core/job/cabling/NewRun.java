package app.jerboa.core.job.cabling;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.value.Lengths;
import java.util.EnumMap;
import java.util.Map;

/** A run that is not there yet, as the item that a change set adds. */
public final class NewRun {
    private NewRun() {}

    /**
     * Along the usual cable of its signal.
     *
     * @param id below 0, to be numbered when it is added
     */
    public static Item of(long id, Link.Plug from, Link.Plug to, double metres) {
        return of(id, from, to, from.socket().signal().cables().get(0), metres, Map.of());
    }

    static Item of(
            long id,
            Link.Plug from,
            Link.Plug to,
            Cable cable,
            double metres,
            Map<Field, String> more) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.RUN_FROM, from.device().id().toString());
        values.put(Field.FROM_PORT, from.socket().name());
        values.put(Field.RUN_TO, to.device().id().toString());
        values.put(Field.TO_PORT, to.socket().name());
        values.put(Field.CABLE, cable.toString());
        values.put(Field.METRES, Lengths.text(metres));
        values.putAll(more);
        return new Item(new ItemRef(ItemKind.RUN, id), values);
    }
}
