package app.jerboa.wire.link.http;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.concurrent.TimeUnit;

/**
 * An answer that must be over in time: a device that sends an octet every now and then would keep
 * whoever reads it for ever, since each read alone is in time.
 */
final class TimedStream extends FilterInputStream {
    private final long until;

    TimedStream(InputStream in, int millis) {
        super(in);
        this.until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
    }

    private void insistOnTime() throws IOException {
        if (System.nanoTime() - until > 0) {
            throw new IOException("its answer takes too long");
        }
    }

    @Override
    public int read() throws IOException {
        insistOnTime();
        return super.read();
    }

    @Override
    public int read(byte[] into, int from, int most) throws IOException {
        insistOnTime();
        return super.read(into, from, most);
    }
}
