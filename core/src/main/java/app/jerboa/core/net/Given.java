package app.jerboa.core.net;

import java.util.NavigableSet;
import java.util.TreeSet;

/** Addresses given away while runs are tried, on top of what is closed anyway. */
final class Given implements Obstacles {
    private final NavigableSet<Long> given = new TreeSet<>();

    void give(RunPattern run, long first) {
        run.spots().forEach(s -> given.add(first + s.offset()));
    }

    void takeBack(RunPattern run, long first) {
        run.spots().forEach(s -> given.remove(first + s.offset()));
    }

    @Override
    public long endOfLastOverlap(long first, long last) {
        Long nearest = given.floor(last);
        return nearest != null && nearest >= first ? nearest : -1;
    }

    /** These and those: whichever ends later. */
    Obstacles with(Obstacles others) {
        return (first, last) ->
                Math.max(endOfLastOverlap(first, last), others.endOfLastOverlap(first, last));
    }
}
