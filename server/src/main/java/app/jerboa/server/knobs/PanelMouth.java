package app.jerboa.server.knobs;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Verb;
import app.jerboa.wire.link.panel.PanelLink;
import java.util.concurrent.CompletableFuture;

/** Keys of the panel link. */
final class PanelMouth implements Mouth {
    private final PanelLink link;
    private final String device;

    PanelMouth(PanelLink link, String device) {
        this.link = link;
        this.device = device;
    }

    @Override
    public int ask(Knob knob, Saying said) {
        Integer value = wait(knob.name(), link.ask(said.key()));
        return value - said.offset();
    }

    @Override
    public void turn(Knob knob, Saying said, int value) {
        wait(knob.name(), link.turn(said.key(), value + said.offset()));
    }

    @Override
    public void tell(Verb verb, Saying said) {
        wait(verb.name(), link.tell(said.key()));
    }

    private <T> T wait(String what, CompletableFuture<T> told) {
        return Patience.with(device, what, told);
    }
}
