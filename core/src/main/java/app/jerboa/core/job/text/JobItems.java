package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.value.TextRejected;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Items between their two forms: texts as stored and exported, typed values as the rules read. */
public final class JobItems {
    /** A new kind of item is one form more. */
    private static final Map<ItemKind, ItemForm<?>> FORMS =
            registered(
                    SiteForm.FORM,
                    SubnetForm.FORM,
                    RangeForm.FORM,
                    DeviceForm.FORM,
                    LineForm.FORM,
                    RouteForm.FORM,
                    MountForm.FORM,
                    PresetForm.FORM,
                    ShotListForm.FORM,
                    TakeForm.FORM,
                    RunForm.FORM,
                    PriceForm.FORM,
                    PreparedForm.FORM,
                    SecretForm.FORM,
                    ProfileForm.FORM,
                    WaiverForm.FORM);

    private JobItems() {}

    private static Map<ItemKind, ItemForm<?>> registered(ItemForm<?>... forms) {
        Map<ItemKind, ItemForm<?>> all = new EnumMap<>(ItemKind.class);
        for (ItemForm<?> form : forms) {
            List<Field> missing = form.missing();
            if (!missing.isEmpty() || all.put(form.kind(), form) != null) {
                throw new IllegalStateException(
                        form.kind() + " is registered twice or lacks " + missing);
            }
        }
        if (all.size() < ItemKind.values().length) {
            throw new IllegalStateException(
                    "forms for " + all.keySet() + " of " + Arrays.toString(ItemKind.values()));
        }
        return all;
    }

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
    public static JobItem trusted(Item item, ProfileShelf shelf) {
        return FORMS.get(item.ref().kind()).read(item, shelf);
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
        return FORMS.get(item.ref().kind()).text(item, field);
    }
}
