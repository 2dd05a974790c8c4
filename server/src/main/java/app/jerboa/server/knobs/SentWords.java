package app.jerboa.server.knobs;

import app.jerboa.core.knob.Choice;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.wire.panel.PanelMessage;
import java.util.Map;

/** Exactly what would go out, for a person to see before it does. */
final class SentWords {
    private SentWords() {}

    static String turning(Knob knob, Saying said, int value) {
        return switch (said.in()) {
            case VISCA, D_PROTOCOL -> Frames.turning(said, value).toString();
            case HTTP ->
                    Requests.turning(said, value, knob.choice(value).map(Choice::word).orElse(""))
                            .toString();
            case PANEL_LINK ->
                    new PanelMessage.Turn(Map.of(said.key(), value + said.offset())).encode();
        };
    }

    static String telling(Saying said) {
        return switch (said.in()) {
            case VISCA, D_PROTOCOL -> Frames.telling(said).toString();
            case HTTP -> Requests.telling(said).toString();
            case PANEL_LINK -> new PanelMessage.Do(said.key()).encode();
        };
    }

    static String tongue(Tongue tongue) {
        return switch (tongue) {
            case VISCA -> "VISCA";
            case D_PROTOCOL -> "D protocol";
            case HTTP -> "HTTP";
            case PANEL_LINK -> "panel link";
        };
    }
}
