package app.jerboa.standin.asked;

/**
 * What a camera says of itself to a probe.
 *
 * @param hardware its model
 */
public record SelfPortrait(String name, String hardware, String serialNumber) {
    /** One that nobody has given a name: it is called by its model. */
    public static SelfPortrait of(String model, String serialNumber) {
        return new SelfPortrait(model, model, serialNumber);
    }

    /** As scopes of ONVIF, with spaces as underscores. */
    String scopes() {
        return scope("name", name)
                + " "
                + scope("hardware", hardware)
                + " "
                + scope("serial", serialNumber);
    }

    private static String scope(String kind, String value) {
        return "onvif://www.onvif.org/" + kind + "/" + value.replace(' ', '_');
    }
}
