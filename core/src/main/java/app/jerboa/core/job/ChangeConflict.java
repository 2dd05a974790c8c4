package app.jerboa.core.job;

import app.jerboa.core.value.Change;

/** A change that starts from a value that is no longer there; nothing was changed. */
public final class ChangeConflict extends RuntimeException {
    private final Change change;
    private final String actual;

    public ChangeConflict(Change change, String actual) {
        super(
                change.field().wire()
                        + " was \""
                        + change.before()
                        + "\" and is now \""
                        + actual
                        + "\"");
        this.change = change;
        this.actual = actual;
    }

    public Change change() {
        return change;
    }

    /** What stands there now. */
    public String actual() {
        return actual;
    }
}
