package app.jerboa.server.knobs;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Verb;

/**
 * One way to tell one device something. Each call waits for the device; each throws {@link NotTold}
 * in words when it refuses or is silent.
 */
interface Mouth {
    int ask(Knob knob, Saying said);

    void turn(Knob knob, Saying said, int value);

    void tell(Verb verb, Saying said);
}
