package app.jerboa.core.job.edit;

import app.jerboa.core.item.Edit;

/** A change that starts from a value that is no longer there; nothing was changed. */
public final class ChangeConflict extends RuntimeException {
    private final Edit edit;
    private final String actual;

    /**
     * @param edit what was wanted; of a removal, from the expected text to none
     */
    public ChangeConflict(Edit edit, String actual) {
        super(
                edit.item()
                        + ": "
                        + edit.field().wire()
                        + " was \""
                        + edit.before()
                        + "\" and is now \""
                        + actual
                        + "\"");
        this.edit = edit;
        this.actual = actual;
    }

    public Edit edit() {
        return edit;
    }

    /** What stands there now. */
    public String actual() {
        return actual;
    }
}
