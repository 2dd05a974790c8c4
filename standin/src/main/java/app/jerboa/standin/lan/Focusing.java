package app.jerboa.standin.lan;

import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.Head;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.picture.HallPicture;
import java.time.InstantSource;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * An automatic makes the middle of the picture sharp. The ring stays where it left it when a hand
 * takes over, and when it was pressed once. It is told by whoever turned the knob, who may hold the
 * head: it asks nothing of the device around it.
 */
final class Focusing implements Consumer<Map<String, Integer>> {
    private static final String RING = "focus";
    private static final String ONCE = "focus once";

    private final int number;
    private final Head facts;
    private final SimulatedHead head;
    private final KnobBank bank;
    private final InstantSource world;

    Focusing(int number, Head facts, SimulatedHead head, KnobBank bank, InstantSource world) {
        this.number = number;
        this.facts = facts;
        this.head = head;
        this.bank = bank;
        this.world = world;
        bank.listen(this);
    }

    /** A knob was turned: it may be the one that gives the ring to a hand. */
    @Override
    public void accept(Map<String, Integer> turned) {
        boolean freed =
                bank.profile().knob(RING).stream()
                        .flatMap(ring -> ring.only().stream())
                        .anyMatch(o -> freed(o, turned));
        if (freed) {
            leave();
        }
    }

    private boolean freed(OnlyWhen only, Map<String, Integer> turned) {
        return Optional.ofNullable(turned.get(only.knob()))
                .flatMap(v -> bank.profile().knob(only.knob()).map(k -> k.valueWords(v)))
                .filter(only.in()::contains)
                .isPresent();
    }

    void told(Verb verb) {
        if (verb.name().equals(ONCE)) {
            leave();
        }
    }

    private void leave() {
        bank.profile()
                .knob(RING)
                .ifPresent(
                        ring ->
                                bank.put(
                                        ring,
                                        HallPicture.focused(
                                                number,
                                                facts,
                                                head.state(),
                                                ring,
                                                world.instant())));
    }

    void end() {
        bank.forget(this);
    }
}
