package app.jerboa.standin.asked;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** What a camera answers to a WS-Discovery probe (SOAP 1.2 over UDP). */
final class ProbeAnswer {
    private static final String DISCOVERY = "http://schemas.xmlsoap.org/ws/2005/04/discovery";
    private static final String ADDRESSING = "http://schemas.xmlsoap.org/ws/2004/08/addressing";
    private static final String TRANSMITTER = "NetworkVideoTransmitter";

    private ProbeAnswer() {}

    /**
     * @param id of the device, the same each time
     * @param service where its own service answers
     * @return empty for what is no probe, or not for such as it
     */
    static Optional<String> to(byte[] datagram, UUID id, String service, SelfPortrait self) {
        try {
            return asked(datagram).map(to -> matches(to, id, service, self));
        } catch (XMLStreamException e) {
            return Optional.empty();
        }
    }

    /** The message that is answered; empty for another one. */
    private static Optional<String> asked(byte[] datagram) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(datagram));
        String message = "";
        boolean probe = false;
        boolean mine = true;
        while (xml.hasNext()) {
            if (xml.next() != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            String local = xml.getLocalName();
            if (local.equals("MessageID") && ADDRESSING.equals(xml.getNamespaceURI())) {
                message = xml.getElementText().strip();
            } else if (local.equals("Probe") && DISCOVERY.equals(xml.getNamespaceURI())) {
                probe = true;
            } else if (local.equals("Types")) {
                String types = xml.getElementText().strip();
                mine = types.isEmpty() || types.contains(TRANSMITTER);
            }
        }
        return probe && mine && !message.isEmpty() ? Optional.of(message) : Optional.empty();
    }

    private static String matches(String to, UUID id, String service, SelfPortrait self) {
        return """
               <?xml version="1.0" encoding="UTF-8"?>
               <s:Envelope xmlns:s="http://www.w3.org/2003/05/soap-envelope" xmlns:a="%s" xmlns:d="%s" xmlns:n="http://www.onvif.org/ver10/network/wsdl">
               <s:Header><a:MessageID>urn:uuid:%s</a:MessageID><a:RelatesTo>%s</a:RelatesTo><a:To>http://schemas.xmlsoap.org/ws/2004/08/addressing/role/anonymous</a:To><a:Action>%s/ProbeMatches</a:Action></s:Header>
               <s:Body><d:ProbeMatches><d:ProbeMatch><a:EndpointReference><a:Address>urn:uuid:%s</a:Address></a:EndpointReference><d:Types>n:%s</d:Types><d:Scopes>%s</d:Scopes><d:XAddrs>%s</d:XAddrs><d:MetadataVersion>1</d:MetadataVersion></d:ProbeMatch></d:ProbeMatches></s:Body>
               </s:Envelope>
               """
                .formatted(
                        ADDRESSING,
                        DISCOVERY,
                        UUID.nameUUIDFromBytes((id + to).getBytes(StandardCharsets.UTF_8)),
                        escaped(to),
                        DISCOVERY,
                        id,
                        TRANSMITTER,
                        escaped(self.scopes()),
                        escaped(service));
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
