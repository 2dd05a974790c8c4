package app.jerboa.e2e.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * The built server unpacked, with an archive of its classes: it starts in half the time. Made once
 * for each build, by whichever test process comes first; nobody waits for the archive, what starts
 * before it is there starts without.
 */
final class ServerCopy {
    private static final String JAR = "jerboa-server.jar";
    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();

    /** Of this process, while it makes an archive. */
    private static final AtomicBoolean MAKING = new AtomicBoolean();

    private final Path jar;
    private final Path copies;
    private final Path folder;
    private final Path archive;

    /**
     * @param root of the checkout
     */
    ServerCopy(Path root) {
        jar = root.resolve("server/target").resolve(JAR);
        copies = root.resolve("e2e/target/server-copy");
        // An archive of an earlier build may still be under way: each build has its own folder.
        folder = copies.resolve("" + jar.toFile().lastModified());
        archive = folder.resolve("classes.jsa");
    }

    /**
     * What comes behind {@code java} to start it.
     *
     * @param environment of a server with a database that no other uses, which is started once to
     *     learn its classes
     */
    List<String> command(Supplier<Map<String, String>> environment) {
        locked("server-copy.lock", this::unpack);
        String start = folder.resolve(JAR).toString();
        if (Files.exists(archive)) {
            return List.of("-XX:SharedArchiveFile=" + archive, "-jar", start);
        }
        if (MAKING.compareAndSet(false, true)) {
            Thread maker =
                    new Thread(
                            () -> locked("server-archive.lock", () -> archive(environment.get())),
                            "server archive");
            maker.setDaemon(true);
            maker.start();
        }
        return List.of("-jar", start);
    }

    /** One process at a time; whoever comes later finds it done. */
    private void locked(String name, Work work) {
        Path lock = copies.resolveSibling(name);
        try {
            Files.createDirectories(copies);
            try (FileChannel channel =
                            FileChannel.open(
                                    lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                    FileLock held = channel.lock()) {
                if (held.isValid()) {
                    work.run();
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private interface Work {
        void run() throws IOException;
    }

    private void unpack() throws IOException {
        Path whole = folder.resolve("whole");
        if (Files.exists(whole)) {
            return;
        }
        try (Stream<Path> earlier = Files.list(copies)) {
            earlier.forEach(ServerCopy::remove);
        }
        run(
                Map.of(),
                JAVA,
                "-Djarmode=tools",
                "-jar",
                jar.toString(),
                "extract",
                "--destination",
                folder.toString());
        Files.createFile(whole);
    }

    /** What is still being written stays until the next time. */
    private static void remove(Path copy) {
        try (Stream<Path> all = Files.walk(copy)) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        } catch (IOException | UncheckedIOException underWay) {
            System.out.println(copy + " stays for now: " + underWay.getMessage());
        }
    }

    /** It may outlive this process: what it makes gets its name when it is whole. */
    private void archive(Map<String, String> environment) throws IOException {
        if (Files.exists(archive)) {
            return;
        }
        Path making = folder.resolve("making-" + ProcessHandle.current().pid() + ".jsa");
        run(
                environment,
                "sh",
                "-c",
                "making=$1 archive=$2; shift 2; \"$@\" && mv \"$making\" \"$archive\"",
                "archive",
                making.toString(),
                archive.toString(),
                JAVA,
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-XX:ArchiveClassesAtExit=" + making,
                "-Dspring.context.exit=onRefresh",
                "-jar",
                folder.resolve(JAR).toString());
    }

    private void run(Map<String, String> environment, String... command) throws IOException {
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(environment);
        builder.redirectOutput(copies.resolveSibling("server-copy.log").toFile());
        try {
            int status = builder.start().waitFor();
            if (status != 0) {
                throw new IllegalStateException(
                        "no copy or archive of the server; see e2e/target/server-copy.log");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
