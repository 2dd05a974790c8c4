package app.jerboa.core.value;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * What one component of a profile says, once for the published schema, the form, the device's page
 * and the check of what people bring in.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Fact {
    /** Its words on a screen. */
    String value();

    /** Of a number, for example {@code W}; empty for counts and texts. */
    String unit() default "";

    /** Least value of a number, inclusive. */
    double least() default 0;

    /** Greatest value of a number, inclusive. */
    double most() default 100_000;

    /** Shortest text, in characters; 0 for one that may be left out. */
    int shortest() default 0;

    /** Longest text, in characters. */
    int longest() default 120;

    /** A text of a protocol, in which the signs of markup have their place. */
    boolean code() default false;
}
