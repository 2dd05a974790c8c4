package app.jerboa.server.preset;

import java.util.List;

/** The row of a camera's views while a program goes to each. */
final class RowBodies {
    private RowBodies() {}

    /**
     * @param what check goes to each and compares; write drives to each and has it stored
     * @param clear somebody at the head said that nobody and nothing is in its way
     */
    record RowStart(String what, boolean clear) {}

    /**
     * Where it stands.
     *
     * @param state none, running, done, cancelled or stopped
     * @param what check or write
     * @param done views that are over
     * @param why of one that was stopped
     */
    record RowRunBody(
            String state,
            String person,
            long device,
            String what,
            int done,
            int count,
            String doing,
            String why,
            List<RowResult> results) {}

    /**
     * What came of one view.
     *
     * @param called by its key; blank where it has none
     * @param outcome stands, differs, written or failed
     * @param words one sentence
     */
    record RowResult(int number, String called, String name, String outcome, String words) {}

    /** What is stored of a run as it goes on. */
    record RowSoFar(long device, String what, List<RowResult> results) {
        static final RowSoFar NONE = new RowSoFar(0, "", List.of());
    }

    /**
     * @param to the camera that is to have the same views; it stores them when its row is written
     */
    record CopyRow(long to) {}

    /**
     * @param to another number of the same camera, as the camera counts them
     */
    record MovePreset(int to) {}
}
