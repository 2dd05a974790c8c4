package app.jerboa.wire.link;

/** Something one can stop listening to. */
public interface Subscription extends AutoCloseable {
    @Override
    void close();
}
