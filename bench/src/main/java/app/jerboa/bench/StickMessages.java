package app.jerboa.bench;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.stream.DoubleStream;

/** The stick messages to one head and what came of them. */
final class StickMessages {
    private record Sent(long nanos, boolean fast) {}

    private final Deque<Sent> sent = new ArrayDeque<>();
    private final List<Double> millis = new ArrayList<>();
    private int lost;

    synchronized void sending(boolean fast) {
        sent.add(new Sent(System.nanoTime(), fast));
    }

    /** Speeds alternate: what was passed over is lost. A stop answers no message. */
    synchronized void heard(long nanos, int pan) {
        if (pan == 0) {
            return;
        }
        boolean fast = pan > 16;
        while (!sent.isEmpty() && sent.peek().fast() != fast) {
            sent.poll();
            lost++;
        }
        if (!sent.isEmpty()) {
            millis.add((nanos - sent.poll().nanos()) / 1e6);
        }
    }

    /** One frame for each message, in their order. */
    synchronized void heardNext(long nanos) {
        if (!sent.isEmpty()) {
            millis.add((nanos - sent.poll().nanos()) / 1e6);
        }
    }

    /** The head was stopped: none of what is under way moves it. */
    synchronized void centred() {
        lost += sent.size();
        sent.clear();
    }

    synchronized void forget() {
        sent.clear();
        millis.clear();
        lost = 0;
    }

    synchronized DoubleStream millis() {
        return millis.stream().mapToDouble(Double::doubleValue);
    }

    synchronized int lost() {
        return lost + sent.size();
    }
}
