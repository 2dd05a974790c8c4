package app.jerboa.server.jobfile;

/** A job file that cannot be taken: where, and why. */
final class FileRejected extends RuntimeException {
    private final String place;

    /**
     * @param place a JSON pointer, or line and column where it is no JSON
     */
    FileRejected(String place, String reason) {
        super(reason);
        this.place = place;
    }

    String place() {
        return place;
    }
}
