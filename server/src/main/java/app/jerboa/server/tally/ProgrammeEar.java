package app.jerboa.server.tally;

import java.util.OptionalInt;

/** Hears from one switcher which input is on programme. */
interface ProgrammeEar extends AutoCloseable {
    /** Counted from 1; empty when it did not say so lately. */
    OptionalInt programme();

    @Override
    void close();
}
