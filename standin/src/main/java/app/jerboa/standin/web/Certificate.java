package app.jerboa.standin.web;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.util.List;
import java.util.Optional;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;

/** Self-made certificates, as devices have them. Made by the tool that comes with Java. */
final class Certificate {
    private static final char[] PASSWORD = "stand-in".toCharArray();

    private static Optional<Path> home = Optional.empty();
    private static SSLContext shared;

    private Certificate() {}

    /**
     * From now on the one of this process is kept there: devices show after a restart what they
     * showed before.
     */
    static synchronized void keptIn(Path file) {
        home = Optional.of(file);
        shared = null;
    }

    /** The one of this process, made when it is first needed. */
    static synchronized SSLContext shared() {
        if (shared == null) {
            shared = home.isPresent() ? kept(home.get()) : fresh();
        }
        return shared;
    }

    /**
     * One that cannot be read is made anew; where nothing can be kept it lasts for this process.
     */
    private static SSLContext kept(Path file) {
        try {
            return read(file);
        } catch (IOException missingOrDamaged) {
            try {
                Path making = file.resolveSibling(file.getFileName() + ".new");
                Files.deleteIfExists(making);
                run(making);
                Files.move(making, file, StandardCopyOption.REPLACE_EXISTING);
                return read(file);
            } catch (IOException e) {
                System.err.println(
                        "The certificate of the stand-ins is not kept: " + e.getMessage());
                return fresh();
            }
        }
    }

    /** Another one, as a device has after a reset. */
    static SSLContext fresh() {
        try {
            Path file = Files.createTempFile("stand-in", ".p12");
            Files.delete(file);
            run(file);
            try {
                return read(file);
            } finally {
                Files.delete(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static SSLContext read(Path file) throws IOException {
        try {
            KeyStore store = KeyStore.getInstance("PKCS12");
            try (InputStream in = Files.newInputStream(file)) {
                store.load(in, PASSWORD);
            }
            KeyManagerFactory keys =
                    KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
            keys.init(store, PASSWORD);
            SSLContext context = SSLContext.getInstance("TLS");
            context.init(keys.getKeyManagers(), null, null);
            return context;
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
