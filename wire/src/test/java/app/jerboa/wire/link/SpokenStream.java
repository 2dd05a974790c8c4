package app.jerboa.wire.link;

import app.jerboa.wire.octets.Octets;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A stream whose other end is the test: it says lines, and opens anew when it is told to. */
public final class SpokenStream implements Stream {
    private final List<Consumer<Octets>> ears = new ArrayList<>();
    private Runnable opened = () -> {};
    private final List<Octets> sent = new ArrayList<>();
    private Optional<String> trouble = Optional.empty();
    private Optional<WirePath> path = connection();

    private static Optional<WirePath> connection() {
        InetSocketAddress end = new InetSocketAddress(InetAddress.getLoopbackAddress(), 7);
        return Optional.of(new WirePath(false, end, end));
    }

    @Override
    public Subscription onOpen(Runnable then) {
        opened = then;
        return () -> {};
    }

    @Override
    public void send(Octets octets, Sent told) {
        sent.add(octets);
        told.sent(trouble());
    }

    public int timesSent() {
        return sent.size();
    }

    @Override
    public synchronized Optional<WirePath> path() {
        return path;
    }

    @Override
    public synchronized Optional<String> trouble() {
        return trouble;
    }

    /** Nothing goes out until it opens. */
    public synchronized void isShut(String why) {
        trouble = Optional.of(why);
    }

    @Override
    public Subscription listen(Consumer<Octets> onOctets) {
        ears.add(onOctets);
        return () -> ears.remove(onOctets);
    }

    @Override
    public void close() {
        ears.clear();
    }

    public void says(String text) {
        says(Octets.of(text.getBytes(StandardCharsets.UTF_8)));
    }

    public void says(Octets octets) {
        List.copyOf(ears).forEach(e -> e.accept(octets));
    }

    /** Connected once more. */
    public void opens() {
        synchronized (this) {
            trouble = Optional.empty();
            path = connection();
        }
        tellsOfItsOpening();
    }

    /** Later than it opened. */
    public void tellsOfItsOpening() {
        opened.run();
    }
}
