package app.jerboa.e2e.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * The built server unpacked, with an archive of its classes: it starts in half the time. Made once
 * for each build, by whichever test process comes first.
 */
final class ServerCopy {
    private static final String JAR = "jerboa-server.jar";

    private final Path jar;
    private final Path folder;
    private final Path archive;

    /**
     * @param root of the checkout
     */
    ServerCopy(Path root) {
        jar = root.resolve("server/target").resolve(JAR);
        folder = root.resolve("e2e/target/server-copy");
        archive = folder.resolve("classes.jsa");
    }

    /**
     * What comes behind {@code java} to start it.
     *
     * @param environment of a server with a database, which is started once to learn its classes
     */
    List<String> command(Map<String, String> environment) {
        Path lock = folder.resolveSibling("server-copy.lock");
        try {
            Files.createDirectories(folder.getParent());
            try (FileChannel channel =
                            FileChannel.open(
                                    lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                    FileLock held = channel.lock()) {
                if (held.isValid() && !isOf(jar)) {
                    make(environment);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return List.of("-XX:SharedArchiveFile=" + archive, "-jar", folder.resolve(JAR).toString());
    }

    private boolean isOf(Path built) throws IOException {
        Path state = folder.resolve("state");
        return Files.exists(state)
                && Files.readString(state).equals(Files.getLastModifiedTime(built).toString());
    }

    private void make(Map<String, String> environment) throws IOException {
        if (Files.exists(folder)) {
            try (Stream<Path> old = Files.walk(folder)) {
                for (Path p : old.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(p);
                }
            }
        }
        java(
                Map.of(),
                "-Djarmode=tools",
                "-jar",
                jar.toString(),
                "extract",
                "--destination",
                folder.toString());
        java(
                environment,
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-XX:ArchiveClassesAtExit=" + archive,
                "-Dspring.context.exit=onRefresh",
                "-jar",
                folder.resolve(JAR).toString());
        Files.writeString(folder.resolve("state"), Files.getLastModifiedTime(jar).toString());
    }

    private void java(Map<String, String> environment, String... arguments) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(environment);
        builder.redirectOutput(folder.resolveSibling("server-copy.log").toFile());
        try {
            int status = builder.start().waitFor();
            if (status != 0) {
                throw new IllegalStateException(
                        "the server could not be unpacked; see e2e/target/server-copy.log");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
