package app.jerboa.core.job.cabling.materials;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Cuts dealt out to reels: the longest first, each to the first reel that still holds it. */
final class Reels {
    private static final double HAIR = 1e-9;

    private Reels() {}

    /**
     * @param metres of each cut
     * @param reel what one holds, in metres
     * @return for each cut its reel from 1; 0 where the cut is longer than any reel
     */
    static int[] deal(List<Double> metres, double reel) {
        int[] dealt = new int[metres.size()];
        List<Double> left = new ArrayList<>();
        List<Integer> longest =
                IntStream.range(0, metres.size())
                        .boxed()
                        .sorted(Comparator.comparing((Integer i) -> -metres.get(i)))
                        .toList();
        for (int i : longest) {
            double cut = metres.get(i);
            if (cut > reel) {
                continue;
            }
            int r = 0;
            while (r < left.size() && left.get(r) + HAIR < cut) {
                r++;
            }
            if (r == left.size()) {
                left.add(reel);
            }
            left.set(r, left.get(r) - cut);
            dealt[i] = r + 1;
        }
        return dealt;
    }
}
