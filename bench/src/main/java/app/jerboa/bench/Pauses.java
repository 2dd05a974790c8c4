package app.jerboa.bench;

/** Time that is to pass between two requests of a bench. */
final class Pauses {
    private Pauses() {}

    /**
     * @param millis none for 0 and less
     */
    static void pause(long millis) {
        try {
            Thread.sleep(Math.max(0, millis));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
