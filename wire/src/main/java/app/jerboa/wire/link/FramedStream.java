package app.jerboa.wire.link;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaFramer;
import java.util.Optional;
import java.util.function.Consumer;

/** VISCA frames over a stream to one device: partial and joined ones are put right. */
public final class FramedStream implements Transport {
    private final Stream stream;
    private final Listeners listeners = new Listeners();
    private ViscaFramer framer = new ViscaFramer();

    public FramedStream(Stream stream) {
        this.stream = stream;
        stream.listen(this::received);
        stream.onOpen(this::afresh);
    }

    /** Half a frame of before belongs to nothing that comes now. */
    private synchronized void afresh() {
        framer = new ViscaFramer();
    }

    private synchronized void received(Octets chunk) {
        for (Decoded<Octets> frame : framer.accept(chunk.toArray())) {
            listeners.tell(
                    frame instanceof Decoded.Rejected<Octets> it
                            ? it.octets()
                            : frame.toOptional().orElseThrow());
        }
    }

    @Override
    public void send(Octets octets, Sent sent) {
        stream.send(octets, sent);
    }

    @Override
    public Subscription listen(Consumer<Octets> onOctets) {
        return listeners.add(onOctets);
    }

    @Override
    public Optional<String> trouble() {
        return stream.trouble();
    }

    @Override
    public Optional<WirePath> path() {
        return stream.path();
    }

    @Override
    public void close() {
        stream.close();
    }
}
