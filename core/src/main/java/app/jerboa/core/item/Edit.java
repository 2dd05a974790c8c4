package app.jerboa.core.item;

import app.jerboa.core.value.DeviceId;

/**
 * One field of one item going from one text to another. Both sides are kept, so the inverse needs
 * no look-up and a conflict can show both.
 */
public record Edit(ItemRef item, Field field, String before, String after) {
    public Edit {
        if (field.kind() != item.kind()) {
            throw new IllegalArgumentException(item + " has no field " + field);
        }
    }

    public static Edit of(DeviceId device, Field field, String before, String after) {
        return new Edit(ItemRef.of(device), field, before, after);
    }

    public Edit inverse() {
        return new Edit(item, field, after, before);
    }
}
