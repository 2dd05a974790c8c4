package app.jerboa.server.knobs;

import app.jerboa.core.knob.Choice;
import app.jerboa.core.knob.HttpAnswer;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Verb;
import app.jerboa.server.words.Words;
import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.link.http.DeviceHttp;
import app.jerboa.wire.link.http.HttpTrouble;
import app.jerboa.wire.octets.Decoded;
import java.util.Locale;
import java.util.Map;

/** Requests to the device's own web server. */
final class HttpMouth implements Mouth {
    private final DeviceHttp http;
    private final Runnable notLetIn;
    private final String device;

    HttpMouth(TellingLinks.Web web, String device) {
        this.http = web.http();
        this.notLetIn = web.notLetIn();
        this.device = device;
    }

    @Override
    public int ask(Knob knob, Saying said) {
        String answer = send(Requests.asking(said), "ask " + knob.name());
        HttpAnswer found = said.found().orElseThrow();
        Decoded<String> text = AnswerShape.of(found.pointer(), found.pattern()).read(answer);
        return text.toOptional()
                .flatMap(t -> Requests.value(knob, said, t))
                .orElseThrow(
                        () ->
                                new NotTold(
                                        "not-understood",
                                        Words.say(
                                                "told.not-understood",
                                                Map.of("device", device, "what", knob.name()))));
    }

    @Override
    public void turn(Knob knob, Saying said, int value) {
        String word = knob.choice(value).map(Choice::word).orElse("");
        send(Requests.turning(said, value, word), knob.name() + " to " + knob.valueWords(value));
    }

    @Override
    public void tell(Verb verb, Saying said) {
        send(Requests.telling(said), verb.name());
    }

    private String send(HttpMessage message, String meaning) {
        try {
            return http.send(message, meaning);
        } catch (HttpTrouble e) {
            if (e.kind() == HttpTrouble.Kind.NOT_LET_IN) {
                notLetIn.run();
            }
            String kind = e.kind().name().toLowerCase(Locale.ROOT).replace('_', '-');
            throw new NotTold(
                    kind,
                    Words.say(
                            "http." + kind,
                            Map.of("device", device, "what", meaning, "detail", e.getMessage())));
        }
    }
}
