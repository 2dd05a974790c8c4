package app.jerboa.server.shot;

/**
 * Where a run stands, as it is stored.
 *
 * @param atTake id of the take on air; null before the first
 * @param nextTake id of the take that is up next; null after the last
 * @param elapsed seconds since the last cut
 * @param cuts so far
 * @param silent seconds since the page of whoever runs it said that it is there
 */
record ShotRunRow(
        long listId, Long atTake, Long nextTake, double elapsed, int cuts, double silent) {}
