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
    LEFT(MotionAxis.PAN, Field.SOFT_LEFT),
    RIGHT(MotionAxis.PAN, Field.SOFT_RIGHT),
    DOWN(MotionAxis.TILT, Field.SOFT_DOWN),
    UP(MotionAxis.TILT, Field.SOFT_UP),
    ROLL_LEFT(MotionAxis.ROLL, Field.SOFT_ROLL_LEFT),
    ROLL_RIGHT(MotionAxis.ROLL, Field.SOFT_ROLL_RIGHT),
    RAIL_FROM(MotionAxis.RAIL, Field.SOFT_RAIL_FROM),
    RAIL_TO(MotionAxis.RAIL, Field.SOFT_RAIL_TO);

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

    SoftLimit(MotionAxis axis, Field field) {
        this.axis = axis;
        this.field = field;
    }

    public MotionAxis axis() {
        return axis;
    }

    public Field field() {
        return field;
    }

    /** That of the lower places of its axis: left, down, the start of a rail. */
    static SoftLimit least(MotionAxis axis) {
        return values()[2 * axis.ordinal()];
    }

    static SoftLimit most(MotionAxis axis) {
        return values()[2 * axis.ordinal() + 1];
    }
}
