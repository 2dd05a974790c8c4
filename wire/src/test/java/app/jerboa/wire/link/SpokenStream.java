package app.jerboa.wire.link;

import app.jerboa.wire.octets.Octets;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A stream whose other end is the test: it says lines, and opens anew when it is told to. */
public final class SpokenStream implements Stream {
    private final List<Consumer<Octets>> ears = new ArrayList<>();
    private Runnable opened = () -> {};

    @Override
    public Subscription onOpen(Runnable then) {
        opened = then;
        return () -> {};
    }

    @Override
    public void send(Octets octets, Sent sent) {
        sent.sent(Optional.empty());
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
        Octets octets = Octets.of(text.getBytes(StandardCharsets.UTF_8));
        List.copyOf(ears).forEach(e -> e.accept(octets));
    }

    /** Connected once more. */
    public void opens() {
        opened.run();
    }
}
