package app.jerboa.standin.picture;

import app.jerboa.core.knob.TallyTold;
import app.jerboa.standin.Json;
import app.jerboa.standin.device.AnswerText;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.panel.LineFramer;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/**
 * A switcher's own protocol, one JSON object a line: {@code {"programme":3}}, {@code
 * {"preview":2}}, {@code {"cut":true}} and {@code {"get":"state"}}. Each change is told to
 * everybody who is there, with inputs and tally.
 */
public final class SwitcherEar implements TcpPort.Ear, Switcher.Listener {
    private final Switcher switcher;
    private final Gate gate;
    private final Optional<TallyTold> own;
    private final LineFramer framer = new LineFramer();
    private Consumer<Octets> say = octets -> {};

    /**
     * @param told as its profile has it; one that looks elsewhere than at {@code /programme} is
     *     told a line of its own
     */
    public SwitcherEar(Switcher switcher, Optional<TallyTold> told, Gate gate) {
        this.own =
                told.filter(t -> !t.byRequest())
                        .filter(t -> !t.found().pointer().equals("/programme"));
        this.switcher = switcher;
        this.gate = gate;
    }

    @Override
    public boolean stays() {
        return gate.own();
    }

    @Override
    public void afresh() {
        framer.clear();
    }

    @Override
    public void open(Consumer<Octets> openSay) {
        say = openSay;
        switcher.listen(this);
    }

    @Override
    public void gone() {
        switcher.forget(this);
    }

    @Override
    public void changed() {
        tell();
    }

    @Override
    public void hear(Octets chunk, Consumer<Octets> reply) {
        for (String line : framer.accept(chunk)) {
            if (own.map(TallyTold::line).filter(line::equals).isPresent()) {
                tell();
                continue;
            }
            try {
                obey(Json.MAPPER.readTree(line));
            } catch (JacksonException e) {
                refuse("not understood");
            } catch (IllegalArgumentException e) {
                refuse(e.getMessage());
            }
        }
    }

    private void obey(JsonNode asked) {
        if (asked.path("programme").isInt()) {
            switcher.programme(asked.path("programme").asInt());
        } else if (asked.path("preview").isInt()) {
            switcher.preview(asked.path("preview").asInt());
        } else if (asked.path("cut").asBoolean(false)) {
            switcher.cut();
        } else if (asked.has("get")) {
            tell();
        } else {
            refuse("not understood");
        }
    }

    private void refuse(String why) {
        send(Map.of("refused", why));
    }

    private void tell() {
        if (own.isPresent()) {
            String text = AnswerText.of(own.get(), switcher.state().programme());
            say.accept(LineFramer.frame(text));
            return;
        }
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("programme", switcher.state().programme());
        all.put("preview", switcher.state().preview());
        all.put("inputs", switcher.inputs());
        send(all);
    }

    private void send(Map<String, ?> message) {
        say.accept(LineFramer.frame(Json.MAPPER.writeValueAsString(message)));
    }
}
