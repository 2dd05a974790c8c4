package app.jerboa.wire.link.net;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.CancelledKeyException;
import java.nio.channels.ClosedChannelException;
import java.nio.channels.ClosedSelectorException;
import java.nio.channels.SelectableChannel;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;
import java.util.Iterator;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One thread that reads any number of sockets. What it calls must return at once; what fails there
 * ends nothing but that call.
 */
public final class SocketReader implements AutoCloseable {
    /** What is done when a socket has something. */
    public interface Ready {
        void ready(SelectionKey key) throws IOException;
    }

    private static final Logger LOG = LoggerFactory.getLogger(SocketReader.class);

    private final Selector selector;

    public SocketReader(String name) {
        try {
            selector = Selector.open();
        } catch (IOException e) {
            throw new UncheckedIOException("no sockets can be read on this machine", e);
        }
        Thread thread = new Thread(this::run, name);
        thread.setDaemon(true);
        thread.start();
    }

    /** One for all links of this process. */
    public static SocketReader shared() {
        return Shared.READER;
    }

    private static final class Shared {
        static final SocketReader READER = new SocketReader("links-read");
    }

    /**
     * @param channel becomes non-blocking
     * @param interest of {@link SelectionKey}
     */
    public SelectionKey register(SelectableChannel channel, int interest, Ready ready)
            throws IOException {
        channel.configureBlocking(false);
        SelectionKey key = channel.register(selector, interest, ready);
        selector.wakeup();
        return key;
    }

    /** Closes it, so that its port is free soon. */
    public void close(SelectableChannel channel) {
        try {
            channel.close();
        } catch (IOException e) {
            LOG.debug("a socket was closed before", e);
        }
        selector.wakeup();
    }

    private void run() {
        while (selector.isOpen()) {
            try {
                selector.select();
                for (Iterator<SelectionKey> i = selector.selectedKeys().iterator(); i.hasNext(); ) {
                    SelectionKey key = i.next();
                    i.remove();
                    tell(key);
                }
            } catch (ClosedSelectorException closed) {
                return;
            } catch (IOException | RuntimeException e) {
                LOG.warn("reading sockets failed once", e);
            }
        }
    }

    private static void tell(SelectionKey key) {
        try {
            ((Ready) key.attachment()).ready(key);
        } catch (CancelledKeyException | ClosedChannelException gone) {
            LOG.trace("closed meanwhile");
        } catch (IOException | RuntimeException e) {
            LOG.warn("something heard from a device could not be handled", e);
        }
    }

    @Override
    public void close() {
        try {
            selector.close();
        } catch (IOException e) {
            LOG.debug("closed before", e);
        }
    }
}
