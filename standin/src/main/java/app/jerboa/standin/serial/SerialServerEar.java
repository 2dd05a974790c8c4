package app.jerboa.standin.serial;

import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.wire.octets.Octets;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** A serial server: what comes in over TCP goes out on its lines, unchanged, and back. */
public final class SerialServerEar implements TcpPort.Ear {
    private static final int END = 0xFF;

    private final Supplier<List<SimulatedLine>> lines;
    private final boolean terminal;
    private final Gate gate;

    /**
     * @param lines that hang on it now
     * @param terminal its port is set to a terminal: it doubles FF on the way back
     */
    public SerialServerEar(Supplier<List<SimulatedLine>> lines, boolean terminal, Gate gate) {
        this.lines = lines;
        this.terminal = terminal;
        this.gate = gate;
    }

    @Override
    public boolean stays() {
        return gate.own();
    }

    @Override
    public void hear(Octets chunk, Consumer<Octets> reply) {
        Consumer<Octets> back = terminal ? octets -> reply.accept(doubled(octets)) : reply;
        lines.get().forEach(line -> line.say(chunk, back));
    }

    private static Octets doubled(Octets octets) {
        Octets all = Octets.of();
        for (int i = 0; i < octets.size(); i++) {
            all = all.plus(Octets.of(octets.at(i)));
            if (octets.at(i) == END) {
                all = all.plus(Octets.of(END));
            }
        }
        return all;
    }

    @Override
    public void afresh() {
        // It keeps nothing of its own.
    }
}
