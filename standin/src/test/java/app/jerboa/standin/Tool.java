package app.jerboa.standin;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** A program of the machine, as a person would start it. */
public final class Tool {
    private static final int PATIENCE_SECONDS = 30;

    private Tool() {}

    /** What it printed; the launcher installs what the tests need. */
    public static byte[] run(List<String> command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        process.getOutputStream().close();
        byte[] out = process.getInputStream().readAllBytes();
        if (!process.waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
            process.destroyForcibly();
        }
        return out;
    }

    public static String text(String... command) throws IOException, InterruptedException {
        return new String(run(List.of(command)), StandardCharsets.UTF_8);
    }

    /** A program of ours, with the classes of this test. */
    public static List<String> java(String main, String... options) {
        List<String> command =
                new ArrayList<>(
                        List.of(
                                System.getProperty("java.home") + "/bin/java",
                                "-cp",
                                System.getProperty("java.class.path"),
                                main));
        command.addAll(List.of(options));
        return command;
    }
}
