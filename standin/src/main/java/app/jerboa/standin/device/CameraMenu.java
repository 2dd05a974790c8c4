package app.jerboa.standin.device;

import app.jerboa.core.knob.Does;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Verb;
import java.util.List;

/**
 * The menu that a camera shows in its own picture: a few of its knobs, one under another, gone
 * through by the verbs of its profile. It shows while the knob "menu" stands at "on".
 */
public final class CameraMenu {
    private static final String MENU = "menu";
    private static final String ON = "on";
    private static final int LINES = 6;

    private final KnobBank bank;
    private final List<Knob> items;
    private int at;

    public CameraMenu(KnobBank bank) {
        this.bank = bank;
        this.items =
                bank.profile().knobs().stream()
                        .filter(k -> !k.name().equals(MENU) && k.doing() == Does.SETS)
                        .limit(LINES)
                        .toList();
    }

    /** One of its own verbs moves in it; any other is nothing to it. */
    public synchronized void told(Verb verb) {
        if (items.isEmpty()) {
            return;
        }
        switch (verb.name()) {
            case "menu up" -> at = Math.floorMod(at - 1, items.size());
            case "menu down" -> at = Math.floorMod(at + 1, items.size());
            case "menu left" -> turn(-1);
            case "menu right", "menu enter" -> turn(1);
            case "menu back" -> leave();
            default -> {
                // Nothing of the menu.
            }
        }
    }

    /** To the next value, or the next choice; it stays where it is at the end of its run. */
    private void turn(int by) {
        Knob knob = items.get(at);
        int now = bank.value(knob.name()).orElseThrow();
        if (knob.choices().isEmpty()) {
            bank.turn(knob, now + by);
            return;
        }
        for (int i = 0; i < knob.choices().size(); i++) {
            int next = i + by;
            if (knob.choices().get(i).value() == now && next >= 0 && next < knob.choices().size()) {
                bank.turn(knob, knob.choices().get(next).value());
                return;
            }
        }
    }

    private void leave() {
        at = 0;
        bank.profile()
                .knob(MENU)
                .ifPresent(
                        k ->
                                k.choices().stream()
                                        .filter(c -> c.name().equals("off"))
                                        .forEach(c -> bank.put(k, c.value())));
    }

    /** What stands in the picture, the line it is at marked; none while it does not show. */
    public synchronized List<String> lines() {
        boolean shows =
                bank.profile()
                        .knob(MENU)
                        .filter(k -> k.valueWords(bank.value(MENU).orElse(0)).equals(ON))
                        .isPresent();
        return shows ? items.stream().map(this::line).toList() : List.of();
    }

    private String line(Knob knob) {
        String value = knob.valueWords(bank.value(knob.name()).orElseThrow());
        return (knob.equals(items.get(at)) ? "> " : "  ") + knob.name() + "  " + value;
    }
}
