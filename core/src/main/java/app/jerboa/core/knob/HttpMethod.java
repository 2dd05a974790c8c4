package app.jerboa.core.knob;

/** How a request of a profile is made. */
public enum HttpMethod {
    GET,
    POST;

    @Override
    public String toString() {
        return name();
    }
}
