package app.jerboa.e2e.harness;

import java.io.IOException;
import java.net.ServerSocket;
import java.util.concurrent.ThreadLocalRandom;

/**
 * Ports for programs that listen a while later: a server takes ten seconds to start. They are below
 * those that the system gives to connections out, or one of these would take it meanwhile.
 */
final class FreePorts {
    private static final int FIRST = 20_000;
    private static final int AFTER_LAST = 32_000;
    private static final int TRIES = 1_000;

    private FreePorts() {}

    static int next() {
        for (int i = 0; i < TRIES; i++) {
            int port = ThreadLocalRandom.current().nextInt(FIRST, AFTER_LAST);
            if (isFree(port)) {
                return port;
            }
        }
        throw new IllegalStateException("no port from " + FIRST + " on is free");
    }

    private static boolean isFree(int port) {
        try (ServerSocket socket = new ServerSocket(port)) {
            return socket.isBound();
        } catch (IOException taken) {
            return false;
        }
    }
}
