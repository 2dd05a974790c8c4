package app.jerboa.standin.asked;

import app.jerboa.standin.Tool;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Assumptions;

/** This machine and a namespace beside it, with a cable of the kernel's between them. */
final class TwoNamespaces {
    private static final String NAME = "jerboa-" + ProcessHandle.current().pid();
    private static final String OUTER = "10.99.0.1";
    private static final String INNER = "10.99.0.2";

    /** Tried between the two. */
    interface Tried {
        void with(TwoNamespaces pair) throws Exception;
    }

    private TwoNamespaces() {}

    /** Skipped, and said so, where the machine lets nobody make a namespace. */
    static void whereAllowed(Tried tried) throws Exception {
        String made = Tool.text("ip", "netns", "add", NAME);
        Assumptions.assumeTrue(made.isEmpty(), "no namespaces here: " + made);
        try {
            ip("link", "add", "jb-out", "type", "veth", "peer", "name", "jb-in");
            ip("link", "set", "jb-in", "netns", NAME);
            ip("addr", "add", OUTER + "/30", "dev", "jb-out");
            ip("link", "set", "jb-out", "up");
            ip("-n", NAME, "addr", "add", INNER + "/30", "dev", "jb-in");
            ip("-n", NAME, "link", "set", "jb-in", "up");
            ip("-n", NAME, "link", "set", "lo", "up");
            tried.with(new TwoNamespaces());
        } finally {
            ip("link", "del", "jb-out");
            ip("netns", "del", NAME);
        }
    }

    private static void ip(String... words) throws Exception {
        List<String> command = new ArrayList<>(List.of("ip"));
        command.addAll(List.of(words));
        Tool.run(command);
    }

    String inner() {
        return INNER;
    }

    String outer() {
        return OUTER;
    }

    Process inside(List<String> command) throws Exception {
        List<String> all = new ArrayList<>(List.of("ip", "netns", "exec", NAME));
        all.addAll(command);
        return new ProcessBuilder(all)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
    }
}
