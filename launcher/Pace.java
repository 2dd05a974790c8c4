import java.util.stream.IntStream;

/**
 * A computation that is always the same, on every core at once: how many milliseconds it takes says
 * how fast a machine is just now.
 */
class Pace {
    private static final int ROUNDS = 400_000_000;

    private static int work(int seed) {
        int x = seed;
        for (int i = 0; i < ROUNDS; i++) {
            x ^= x << 13;
            x ^= x >>> 17;
            x ^= x << 5;
        }
        return x;
    }

    public static void main(String[] args) {
        int cores = Runtime.getRuntime().availableProcessors();
        long start = System.nanoTime();
        int all = IntStream.rangeClosed(1, cores).parallel().map(Pace::work).sum();
        long millis = (System.nanoTime() - start) / 1_000_000;
        // Made out of what came out, or it might not be worked out at all.
        System.out.println(all == 0 ? millis + 1 : millis);
    }
}
