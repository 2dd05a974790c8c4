package app.jerboa.wire.link.serial;

import app.jerboa.wire.link.Listeners;
import app.jerboa.wire.link.Stream;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.octets.Octets;
import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortDataListener;
import com.fazecast.jSerialComm.SerialPortEvent;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/**
 * A serial port, 8N1 by default; opened again every second while it is taken or gone. USB adapters
 * come back under the same path as a rule, when they come back.
 */
public final class SerialPortStream implements Stream {
    private static final int AGAIN_MILLIS = 1_000;
    private static final int WRITE_MILLIS = 50;
    private static final int DATA_BITS = 8;

    /**
     * How the port is set.
     *
     * @param framing data bits, parity and stop bits, for example {@code 8N1}
     */
    public record Line(String path, int baud, String framing) {}

    private final Line line;
    private final ScheduledExecutorService timer;
    private final Listeners listeners = new Listeners();
    private final List<Runnable> onOpen = new CopyOnWriteArrayList<>();
    private SerialPort port;
    private boolean closed;
    private String why = "not open yet";

    private SerialPortStream(Line line, ScheduledExecutorService timer) {
        this.line = line;
        this.timer = timer;
    }

    /** Opens by itself; returns at once. */
    public static SerialPortStream open(Line line, ScheduledExecutorService timer) {
        SerialPortStream stream = new SerialPortStream(line, timer);
        stream.again(0);
        return stream;
    }

    private void again(int millis) {
        try {
            timer.schedule(this::tryOpen, millis, TimeUnit.MILLISECONDS);
        } catch (RejectedExecutionException stopping) {
            why = "stopping";
        }
    }

    private void tryOpen() {
        if (opened()) {
            onOpen.forEach(Runnable::run);
        }
    }

    private synchronized boolean opened() {
        if (closed) {
            return false;
        }
        try {
            SerialPort fresh = SerialPort.getCommPort(line.path());
            fresh.setComPortParameters(line.baud(), dataBits(), stopBits(), parity());
            fresh.setComPortTimeouts(SerialPort.TIMEOUT_WRITE_BLOCKING, 0, WRITE_MILLIS);
            if (fresh.openPort()) {
                fresh.addDataListener(new Reading(fresh));
                port = fresh;
                return true;
            }
            why = line.path() + " is taken by another program, or may not be opened by this user";
        } catch (SerialPortInvalidPortException gone) {
            why = line.path() + " is not there: plug the adapter in, or name another port";
        }
        again(AGAIN_MILLIS);
        return false;
    }

    private int dataBits() {
        return line.framing().startsWith("7") ? DATA_BITS - 1 : DATA_BITS;
    }

    private int parity() {
        return switch (line.framing().charAt(1)) {
            case 'E' -> SerialPort.EVEN_PARITY;
            case 'O' -> SerialPort.ODD_PARITY;
            default -> SerialPort.NO_PARITY;
        };
    }

    private int stopBits() {
        return line.framing().endsWith("2") ? SerialPort.TWO_STOP_BITS : SerialPort.ONE_STOP_BIT;
    }

    private final class Reading implements SerialPortDataListener {
        private final SerialPort of;

        Reading(SerialPort of) {
            this.of = of;
        }

        @Override
        public int getListeningEvents() {
            return SerialPort.LISTENING_EVENT_DATA_RECEIVED
                    | SerialPort.LISTENING_EVENT_PORT_DISCONNECTED;
        }

        @Override
        public void serialEvent(SerialPortEvent event) {
            if (event.getEventType() == SerialPort.LISTENING_EVENT_PORT_DISCONNECTED) {
                vanished(of);
            } else {
                byte[] data = event.getReceivedData();
                listeners.tell(Octets.of(Arrays.copyOf(data, data.length)));
            }
        }
    }

    private synchronized void vanished(SerialPort which) {
        if (port == which) {
            port = null;
            why = line.path() + " has vanished: its adapter was pulled out";
            again(AGAIN_MILLIS);
            try {
                timer.execute(which::closePort);
            } catch (RejectedExecutionException stopping) {
                why = "stopping";
            }
        }
    }

    @Override
    public void send(Octets octets, Sent sent) {
        sent.sent(write(octets));
    }

    private synchronized Optional<String> write(Octets octets) {
        if (port == null) {
            return Optional.of(why);
        }
        byte[] bytes = octets.toArray();
        if (port.writeBytes(bytes, bytes.length) == bytes.length) {
            return Optional.empty();
        }
        vanished(port);
        return Optional.of(why);
    }

    @Override
    public Subscription listen(Consumer<Octets> onOctets) {
        return listeners.add(onOctets);
    }

    @Override
    public Subscription onOpen(Runnable opened) {
        onOpen.add(opened);
        return () -> onOpen.remove(opened);
    }

    @Override
    public synchronized Optional<String> trouble() {
        return port == null ? Optional.of(why) : Optional.empty();
    }

    @Override
    public void close() {
        SerialPort open;
        synchronized (this) {
            closed = true;
            open = port;
            port = null;
            why = "the link is closed";
        }
        if (open != null) {
            open.closePort();
        }
    }
}
