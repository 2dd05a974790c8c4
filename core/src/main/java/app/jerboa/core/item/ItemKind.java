package app.jerboa.core.item;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What a job is made of. A new kind is one constant here, its fields in {@link Field} and its
 * record in {@code core.job}; storing, editing, undo, log, export and import follow.
 */
public enum ItemKind {
    /** The job's own facts; exactly one. */
    SITE("site"),
    /** A house subnet; at least one. */
    SUBNET("subnet"),
    /** Addresses of the house that are not ours to give out. */
    RANGE("range"),
    DEVICE("device"),
    LINE("line"),
    /** A control route that was chosen instead of the proposed one. */
    ROUTE("route"),
    /** How and where a camera is fixed. */
    MOUNT("mount"),
    /** A view that is stored in a camera, and what was read when it was. */
    PRESET("preset"),
    /** Takes in the order in which they are shown. */
    SHOT_LIST("shot-list"),
    /** One camera on air for a while, as part of a shot list. */
    TAKE("take"),
    /** A cable or lead from one socket to another. */
    RUN("run"),
    /** What one piece of something costs. */
    PRICE("price"),
    /** One thing of the before-the-van-leaves list that is done. */
    PREPARED("preparation"),
    /** A password, key or passphrase, encrypted. */
    SECRET("secret"),
    /** A profile of the job's own. */
    PROFILE("profile"),
    /** A finding that somebody accepted, with the reason. */
    WAIVER("waiver");

    private final String wire;

    ItemKind(String wire) {
        this.wire = wire;
    }

    /** The name used in JSON and in the database. */
    public String wire() {
        return wire;
    }

    /** Its fields in the order of the job file. */
    public List<Field> fields() {
        return Field.of(this);
    }

    public static Optional<ItemKind> fromWire(String name) {
        return Arrays.stream(values()).filter(k -> k.wire.equals(name)).findFirst();
    }
}
