package app.jerboa.standin.web;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.util.List;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;

/** Self-made certificates, as devices have them. Made by the tool that comes with Java. */
final class Certificate {
    private static final char[] PASSWORD = "stand-in".toCharArray();

    private static SSLContext shared;

    private Certificate() {}

    /** The one of this process, made when it is first needed. */
    static synchronized SSLContext shared() {
        if (shared == null) {
            shared = fresh();
        }
        return shared;
    }

    /** Another one, as a device has after a reset. */
    static SSLContext fresh() {
        try {
            Path file = Files.createTempFile("stand-in", ".p12");
            Files.delete(file);
            run(file);
            KeyStore store = KeyStore.getInstance("PKCS12");
            try (InputStream in = Files.newInputStream(file)) {
                store.load(in, PASSWORD);
            } finally {
                Files.delete(file);
            }
            KeyManagerFactory keys =
                    KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
            keys.init(store, PASSWORD);
            SSLContext context = SSLContext.getInstance("TLS");
            context.init(keys.getKeyManagers(), null, null);
            return context;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void run(Path file) throws IOException {
        String tool = Path.of(System.getProperty("java.home"), "bin", "keytool").toString();
        List<String> command =
                List.of(
                        tool,
                        "-genkeypair",
                        "-alias",
                        "stand-in",
                        "-keyalg",
                        "EC",
                        "-groupname",
                        "secp256r1",
                        "-dname",
                        "CN=stand-in",
                        "-validity",
                        "3650",
                        "-storetype",
                        "PKCS12",
                        "-keystore",
                        file.toString(),
                        "-storepass",
                        new String(PASSWORD));
        try {
            Process made = new ProcessBuilder(command).redirectErrorStream(true).start();
            String said = new String(made.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (made.waitFor() != 0) {
                throw new IOException("no certificate: " + said);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("stopped", e);
        }
    }
}
