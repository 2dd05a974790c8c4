package app.jerboa.wire.http;

/**
 * A request as it goes out.
 *
 * @param target path and query, encoded
 * @param contentType empty without a body
 */
public record HttpMessage(String method, String target, String contentType, String body) {
    /** For the wire log, on one line. */
    @Override
    public String toString() {
        return method + " " + target + (body.isEmpty() ? "" : " " + body);
    }
}
