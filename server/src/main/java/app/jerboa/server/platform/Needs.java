package app.jerboa.server.platform;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * What a route below {@code /api/jobs/{job}} asks of whoever calls it. Reading needs {@link
 * Right#READ} without saying so; every other route must say, or the server does not start.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface Needs {
    Right value();

    /** The route is for deleted jobs, which all others answer as if they did not exist. */
    boolean ofDeleted() default false;
}
