/** A computation that is always the same: how many milliseconds it takes says how fast a machine is. */
class Pace {
    private static final int ROUNDS = 400_000_000;

    public static void main(String[] args) {
        long start = System.nanoTime();
        int x = 1;
        for (int i = 0; i < ROUNDS; i++) {
            x ^= x << 13;
            x ^= x >>> 17;
            x ^= x << 5;
        }
        long millis = (System.nanoTime() - start) / 1_000_000;
        // Printed with what came out, or it might not be worked out at all.
        System.out.println(x == 0 ? 0 : millis);
    }
}
