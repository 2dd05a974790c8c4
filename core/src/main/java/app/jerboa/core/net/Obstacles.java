package app.jerboa.core.net;

/** What stands in the way of a window of addresses. */
interface Obstacles {
    /** The end of the last obstacle that touches first..last, or -1 when all of it is free. */
    long endOfLastOverlap(long first, long last);
}
