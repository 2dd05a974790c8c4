package app.jerboa.wire.discovery;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/**
 * Asks cameras of a network to name themselves (WS-Discovery 2005/04, types of ONVIF).
 *
 * @param id of this message; answers relate to it
 */
public record Probe(UUID id) {
    static final String DISCOVERY = "http://schemas.xmlsoap.org/ws/2005/04/discovery";
    static final String ADDRESSING = "http://schemas.xmlsoap.org/ws/2004/08/addressing";

    /** The group that hears it, and its port; over IPv6 the group is {@link #GROUP_6}. */
    public static final String GROUP = "239.255.255.250";

    public static final String GROUP_6 = "ff02::c";
    public static final int PORT = 3702;

    public byte[] octets() {
        return """
               <?xml version="1.0" encoding="UTF-8"?>
               <s:Envelope xmlns:s="http://www.w3.org/2003/05/soap-envelope" xmlns:a="%s" xmlns:d="%s" xmlns:n="http://www.onvif.org/ver10/network/wsdl"><s:Header><a:MessageID>%s</a:MessageID><a:To>urn:schemas-xmlsoap-org:ws:2005:04:discovery</a:To><a:Action>%s/Probe</a:Action></s:Header><s:Body><d:Probe><d:Types>n:NetworkVideoTransmitter</d:Types></d:Probe></s:Body></s:Envelope>
               """
                .formatted(ADDRESSING, DISCOVERY, message(), DISCOVERY)
                .getBytes(StandardCharsets.UTF_8);
    }

    String message() {
        return "urn:uuid:" + id;
    }
}
