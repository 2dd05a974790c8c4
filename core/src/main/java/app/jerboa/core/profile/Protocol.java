package app.jerboa.core.profile;

import app.jerboa.core.knob.Tongue;
import app.jerboa.core.value.Kebab;
import java.util.Optional;

/** What control and reading ride on. */
public enum Protocol {
    /** VISCA in UDP packets with a header. */
    VISCA_IP,
    /** Bare VISCA frames in UDP packets. */
    VISCA_UDP,
    /** Bare VISCA frames in a TCP stream. */
    VISCA_TCP,
    /** VISCA on RS-232 or RS-422. */
    VISCA_SERIAL,
    /** Seven octets a command on a bus, no replies. */
    D_PROTOCOL,
    ONVIF,
    /** Its own web page and requests. */
    WEB,
    /** The camera class of USB. */
    USB_CAMERA,
    /** The input class of USB: pads and keyboards. */
    USB_INPUT,
    /** Hand remotes. */
    INFRARED,
    /** Paint panel to camera, one to one. */
    PANEL_LINK,
    /** Paint panels to cameras through a server. */
    PANEL_SERVER,
    /** Control and tally inside the switcher's return picture. */
    RETURN_FEED,
    /** Short-range radio to a telephone or tablet. */
    SHORT_RANGE,
    /** A zoom or focus motor's own lead. */
    LENS_MOTOR,
    /** Cuts, tally and status of a switcher. */
    SWITCHER,
    /** Whole network between two sites. */
    TUNNEL,
    /** Sound inside the picture. */
    EMBEDDED,
    /** Status of a network switch, v2c. */
    SNMP,
    /** A network picture, described before it is fetched. */
    RTSP;

    /** The language in which knobs and verbs are said over it; empty for one that has none. */
    public Optional<Tongue> tongue() {
        return switch (this) {
            case VISCA_IP, VISCA_UDP, VISCA_TCP, VISCA_SERIAL -> Optional.of(Tongue.VISCA);
            case D_PROTOCOL -> Optional.of(Tongue.D_PROTOCOL);
            case WEB -> Optional.of(Tongue.HTTP);
            case PANEL_LINK, PANEL_SERVER -> Optional.of(Tongue.PANEL_LINK);
            case ONVIF,
                    USB_CAMERA,
                    USB_INPUT,
                    INFRARED,
                    RETURN_FEED,
                    SHORT_RANGE,
                    LENS_MOTOR,
                    SWITCHER,
                    TUNNEL,
                    EMBEDDED,
                    SNMP,
                    RTSP ->
                    Optional.empty();
        };
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
