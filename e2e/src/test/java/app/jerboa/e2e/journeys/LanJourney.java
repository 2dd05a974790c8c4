package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.e2e.harness.Programs;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Map;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;

/**
 * Serving a network: the certificate made at first start, HTTPS with it, cookies for HTTPS only.
 */
class LanJourney {
    @Test
    void httpsWithItsOwnCertificate() throws Exception {
        Path folder = Programs.scratch("tls-" + System.nanoTime());
        Programs programs = Jerboa.shared();
        String print = programs.launcher("certificate", folder.toString()).strip();
        assertThat(programs.launcher("certificate", folder.toString()).strip()).isEqualTo(print);
        char[] password = Files.readString(folder.resolve("password")).toCharArray();
        KeyStore store = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(folder.resolve("jerboa.p12"))) {
            store.load(in, password);
        }
        X509Certificate own = (X509Certificate) store.getCertificate("jerboa");
        byte[] digest = MessageDigest.getInstance("SHA-256").digest(own.getEncoded());
        assertThat(HexFormat.ofDelimiter(":").withUpperCase().formatHex(digest)).isEqualTo(print);
        int port = Programs.freePort();
        Process server =
                programs.startServer(
                        port,
                        Map.of(
                                "SERVER_SSL_KEY_STORE",
                                "file:" + folder.resolve("jerboa.p12"),
                                "SERVER_SSL_KEY_STORE_PASSWORD",
                                new String(password),
                                "SERVER_SSL_KEY_STORE_TYPE",
                                "PKCS12",
                                "JERBOA_SECURE",
                                "true"));
        try {
            HttpClient browser = HttpClient.newBuilder().sslContext(trusting(own)).build();
            Awaitility.await()
                    .atMost(Duration.ofSeconds(60))
                    .ignoreExceptions()
                    .until(() -> get(browser, port, "/actuator/health").body().contains("UP"));
            HttpResponse<String> page = get(browser, port, "/auth/session");
            assertThat(page.headers().allValues("Set-Cookie"))
                    .isNotEmpty()
                    .allSatisfy(c -> assertThat(c).containsIgnoringCase("secure"));
            assertThat(page.headers().firstValue("Strict-Transport-Security"))
                    .as("a browser that insists could not get past our own certificate")
                    .isEmpty();
            assertThat(page.headers().firstValue("Referrer-Policy")).hasValue("no-referrer");
            assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
                    .contains("base-uri 'none'", "form-action 'self'");
        } finally {
            server.destroyForcibly();
        }
    }

    private static HttpResponse<String> get(HttpClient browser, int port, String path)
            throws Exception {
        return browser.send(
                HttpRequest.newBuilder(URI.create("https://localhost:" + port + path)).build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private static SSLContext trusting(X509Certificate own) throws Exception {
        KeyStore trusted = KeyStore.getInstance(KeyStore.getDefaultType());
        trusted.load(null, null);
        trusted.setCertificateEntry("jerboa", own);
        TrustManagerFactory managers =
                TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        managers.init(trusted);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, managers.getTrustManagers(), null);
        return context;
    }
}
