package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import java.util.function.Consumer;

/** One rule of the address family: reads the index, reports what it notices. */
interface AddressCheck {
    void check(AddressIndex index, Consumer<Finding> report);
}
