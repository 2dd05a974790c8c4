package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.Optional;
import java.util.OptionalInt;

/** The texts of one item, each of which was checked by {@link FieldCheck}, read as values. */
record Texts(Item item) {
    long id() {
        return item.ref().id();
    }

    String text(Field field) {
        return item.text(field);
    }

    int whole(Field field) {
        return Integer.parseInt(text(field));
    }

    OptionalInt wholeOrNone(Field field) {
        return text(field).isEmpty() ? OptionalInt.empty() : OptionalInt.of(whole(field));
    }

    double number(Field field) {
        return Double.parseDouble(text(field));
    }

    boolean flag(Field field) {
        return Boolean.parseBoolean(text(field));
    }

    Ipv4 address(Field field) {
        return Ipv4.parse(text(field));
    }

    Optional<Ipv4> addressOrNone(Field field) {
        return text(field).isEmpty() ? Optional.empty() : Optional.of(address(field));
    }

    DeviceId device(Field field) {
        return new DeviceId(Long.parseLong(text(field)));
    }

    Optional<DeviceId> deviceOrNone(Field field) {
        return text(field).isEmpty() ? Optional.empty() : Optional.of(device(field));
    }

    RemoteFunction function(Field field) {
        return RemoteFunction.of(text(field));
    }

    /** A text that is right for its field but not beside the others of its item. */
    ItemRejected rejected(Field field, Reason reason) {
        return new ItemRejected(item.ref(), field, new TextRejected(text(field), 0, reason));
    }
}
