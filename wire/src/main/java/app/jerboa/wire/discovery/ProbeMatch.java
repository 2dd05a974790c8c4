package app.jerboa.wire.discovery;

import java.io.ByteArrayInputStream;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * One device as it answers a probe. What it says is not trusted: no entities are resolved, texts
 * are cut, and where its services are said to be is only shown.
 *
 * @param endpoint the same each time it answers
 * @param name from its scopes; may be blank
 * @param hardware its model, from its scopes; may be blank
 * @param serialNumber from its scopes; may be blank
 * @param services URLs it gives
 */
public record ProbeMatch(
        String endpoint, String name, String hardware, String serialNumber, List<String> services) {
    /** A datagram of UDP holds no more. */
    public static final int LONGEST = 65_536;

    private static final int LONGEST_TEXT = 200;
    private static final int MOST = 64;
    private static final String SCOPE = "onvif://www.onvif.org/";

    public ProbeMatch {
        services = List.copyOf(services);
    }

    /** Those of an answer to this probe; none of anything else. */
    public static List<ProbeMatch> read(byte[] datagram, Probe asked) {
        if (datagram.length > LONGEST) {
            return List.of();
        }
        try {
            return new Reading(asked).read(datagram);
        } catch (XMLStreamException e) {
            return List.of();
        }
    }

    /** Reads one answer. */
    private static final class Reading {
        private final Probe asked;
        private final List<ProbeMatch> matches = new ArrayList<>();
        private boolean related;
        private boolean inMatch;
        private String endpoint = "";
        private String scopes = "";
        private String services = "";

        Reading(Probe asked) {
            this.asked = asked;
        }

        List<ProbeMatch> read(byte[] datagram) throws XMLStreamException {
            XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
            factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
            factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
            XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(datagram));
            while (xml.hasNext() && matches.size() < MOST) {
                switch (xml.next()) {
                    case XMLStreamConstants.START_ELEMENT -> begins(xml);
                    case XMLStreamConstants.END_ELEMENT -> ends(xml.getLocalName());
                    default -> {
                        // Text stands inside the elements that are read whole.
                    }
                }
            }
            return related ? List.copyOf(matches) : List.of();
        }

        private void begins(XMLStreamReader xml) throws XMLStreamException {
            switch (xml.getLocalName()) {
                case "RelatesTo" -> related |= xml.getElementText().strip().equals(asked.message());
                case "ProbeMatch" -> inMatch = true;
                case "Address" -> endpoint = inMatch ? xml.getElementText().strip() : endpoint;
                case "Scopes" -> scopes = xml.getElementText().strip();
                case "XAddrs" -> services = xml.getElementText().strip();
                default -> {
                    // Of no use here.
                }
            }
        }

        private void ends(String element) {
            if (element.equals("ProbeMatch")) {
                matches.add(
                        new ProbeMatch(
                                cut(endpoint),
                                scope("name"),
                                scope("hardware"),
                                scope("serial"),
                                words(services).stream().map(Reading::cut).toList()));
                inMatch = false;
                endpoint = "";
                scopes = "";
                services = "";
            }
        }

        private static List<String> words(String text) {
            return text.isEmpty() ? List.of() : List.of(text.split("\\s+", MOST));
        }

        /** Blank where there is none; spaces are written as {@code %20} or as an underscore. */
        private String scope(String kind) {
            String start = SCOPE + kind + "/";
            return words(scopes).stream()
                    .filter(s -> s.toLowerCase(Locale.ROOT).startsWith(start))
                    .map(s -> cut(plain(s.substring(start.length()))))
                    .findFirst()
                    .orElse("");
        }

        private static String plain(String escaped) {
            try {
                return URLDecoder.decode(escaped.replace("+", "%2B"), StandardCharsets.UTF_8)
                        .replace('_', ' ')
                        .strip();
            } catch (IllegalArgumentException e) {
                return escaped;
            }
        }

        private static String cut(String text) {
            String plain = text.replaceAll("\\p{Cntrl}", "");
            return plain.length() > LONGEST_TEXT ? plain.substring(0, LONGEST_TEXT) : plain;
        }
    }
}
