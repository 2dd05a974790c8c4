package app.jerboa.server.view;

/**
 * A job's view as JSON: what everybody sees of it is written once for each version, and put behind
 * the little that is one person's own.
 */
final class JobJson {
    private final byte[] shared;

    /**
     * @param shared an object that is not empty
     */
    JobJson(byte[] shared) {
        this.shared = shared;
    }

    /**
     * @param own an object that is not empty and shares no name with the other
     */
    byte[] behind(byte[] own) {
        byte[] both = new byte[own.length + shared.length - 1];
        System.arraycopy(own, 0, both, 0, own.length);
        both[own.length - 1] = ',';
        System.arraycopy(shared, 1, both, own.length, shared.length - 1);
        return both;
    }
}
