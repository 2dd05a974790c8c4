package app.jerboa.core.job;

import app.jerboa.core.item.Field;
import app.jerboa.core.motion.MotionAxis;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;

/** A side of an axis on which a head is kept from going all the way that it could. */
public enum SoftLimit {
    LEFT(MotionAxis.PAN, Field.SOFT_LEFT, false),
    RIGHT(MotionAxis.PAN, Field.SOFT_RIGHT, true),
    DOWN(MotionAxis.TILT, Field.SOFT_DOWN, false),
    UP(MotionAxis.TILT, Field.SOFT_UP, true),
    ROLL_LEFT(MotionAxis.ROLL, Field.SOFT_ROLL_LEFT, false),
    ROLL_RIGHT(MotionAxis.ROLL, Field.SOFT_ROLL_RIGHT, true),
    RAIL_FROM(MotionAxis.RAIL, Field.SOFT_RAIL_FROM, false),
    RAIL_TO(MotionAxis.RAIL, Field.SOFT_RAIL_TO, true);

    /** A limit is kept in hundredths of a degree, those of a rail in centimetres. */
    public static final double HUNDREDTHS = 100;

    /** Of a device, each in hundredths; empty for none. */
    public static final Set<Field> FIELDS =
            Collections.unmodifiableSet(
                    Arrays.stream(values())
                            .map(SoftLimit::field)
                            .collect(Collectors.toCollection(() -> EnumSet.noneOf(Field.class))));

    private final MotionAxis axis;
    private final Field field;
    private final boolean most;

    /**
     * @param most it is that of the higher places of its axis
     */
    SoftLimit(MotionAxis axis, Field field, boolean most) {
        this.axis = axis;
        this.field = field;
        this.most = most;
    }

    /**
     * @throws java.util.NoSuchElementException for another field than {@link #FIELDS}
     */
    public static SoftLimit of(Field field) {
        return Arrays.stream(values()).filter(l -> l.field == field).findFirst().orElseThrow();
    }

    public MotionAxis axis() {
        return axis;
    }

    public Field field() {
        return field;
    }

    /** That of the lower places of its axis: left, down, the start of a rail. */
    static SoftLimit least(MotionAxis axis) {
        return of(axis, false);
    }

    static SoftLimit most(MotionAxis axis) {
        return of(axis, true);
    }

    private static SoftLimit of(MotionAxis axis, boolean most) {
        return Arrays.stream(values())
                .filter(l -> l.axis == axis && l.most == most)
                .findFirst()
                .orElseThrow();
    }
}
