package app.jerboa.wire.discovery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ProbeTest {
    private static final Probe PROBE =
            new Probe(UUID.fromString("0a6dc791-2be6-4991-9af1-454778a1917a"));

    private static byte[] answer(String relatesTo, String scopes) {
        return """
                <?xml version="1.0" encoding="UTF-8"?>
                <e:Envelope xmlns:e="http://www.w3.org/2003/05/soap-envelope" xmlns:w="http://schemas.xmlsoap.org/ws/2004/08/addressing" xmlns:d="http://schemas.xmlsoap.org/ws/2005/04/discovery">
                <e:Header><w:RelatesTo>%s</w:RelatesTo></e:Header>
                <e:Body><d:ProbeMatches><d:ProbeMatch><w:EndpointReference><w:Address>urn:uuid:77</w:Address></w:EndpointReference>
                <d:Scopes> onvif://www.onvif.org/type/ptz %s </d:Scopes><d:XAddrs>http://10.44.8.21/onvif http://[fe80::1]/onvif</d:XAddrs></d:ProbeMatch></d:ProbeMatches></e:Body></e:Envelope>
                """
                .formatted(relatesTo, scopes)
                .getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void anAnswerIsReadByItsScopes() {
        String scopes =
                "onvif://www.onvif.org/name/Hall%20left onvif://www.onvif.org/hardware/Ceiling_head onvif://www.onvif.org/serial/S-1+2";
        assertThat(ProbeMatch.read(answer(PROBE.message(), scopes), PROBE))
                .singleElement()
                .satisfies(
                        m -> {
                            assertThat(m.endpoint()).isEqualTo("urn:uuid:77");
                            assertThat(m.name()).isEqualTo("Hall left");
                            assertThat(m.hardware()).isEqualTo("Ceiling head");
                            assertThat(m.serialNumber()).isEqualTo("S-1+2");
                            assertThat(m.services()).hasSize(2);
                        });
    }

    @Test
    void ourProbeIsNoAnswerAndAnAnswerToAnotherIsNotOurs() {
        assertThat(ProbeMatch.read(PROBE.octets(), PROBE)).isEmpty();
        assertThat(ProbeMatch.read(answer("urn:uuid:other", ""), PROBE)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "<",
                "<a><b></a>",
                "<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><ProbeMatch>&e;</ProbeMatch>",
                "<ProbeMatch><Address>x</Address></ProbeMatch>"
            })
    void whatIsNoAnswerGivesNothing(String text) {
        assertThat(ProbeMatch.read(text.getBytes(StandardCharsets.UTF_8), PROBE)).isEmpty();
    }

    /** Whatever a neighbour sends: nothing is thrown, nothing grows long. */
    @Test
    void broken() {
        Random random = new Random(7);
        byte[] good =
                answer(PROBE.message(), "onvif://www.onvif.org/name/" + "%zz" + "x".repeat(900));
        assertThat(ProbeMatch.read(good, PROBE).get(0).name()).hasSizeLessThan(1000);
        for (int i = 0; i < 500; i++) {
            byte[] bad = good.clone();
            for (int k = 0; k < 1 + random.nextInt(6); k++) {
                bad[random.nextInt(bad.length)] = (byte) random.nextInt(256);
            }
            assertThatCode(() -> ProbeMatch.read(bad, PROBE)).doesNotThrowAnyException();
        }
        assertThat(ProbeMatch.read(new byte[ProbeMatch.LONGEST + 1], PROBE)).isEmpty();
    }
}
