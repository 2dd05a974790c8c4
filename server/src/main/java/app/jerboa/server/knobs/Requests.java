package app.jerboa.server.knobs;

import app.jerboa.core.knob.Choice;
import app.jerboa.core.knob.HttpCall;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.wire.http.BodyForm;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.http.RequestTemplate;
import app.jerboa.wire.http.Values;
import java.util.Optional;

/** The requests that a saying stands for, and what an answer's text means. */
final class Requests {
    private static final int MOST_DIGITS = 9;

    private Requests() {}

    static RequestTemplate template(HttpCall call) {
        return RequestTemplate.of(
                call.method().toString(),
                call.path(),
                BodyForm.named(call.kind().toString()),
                call.body());
    }

    static HttpMessage turning(Saying said, int value, String word) {
        return template(said.request().orElseThrow()).fill(Values.of(value + said.offset(), word));
    }

    static HttpMessage telling(Saying said) {
        return template(said.request().orElseThrow()).fill(Values.none());
    }

    static HttpMessage asking(Saying said) {
        return template(said.reading().orElseThrow()).fill(Values.none());
    }

    /** A choice by its word, else a whole number; empty for anything else. */
    static Optional<Integer> value(Knob knob, Saying said, String text) {
        Optional<Integer> word =
                knob.choices().stream()
                        .filter(c -> !c.word().isEmpty() && c.word().equals(text))
                        .map(Choice::value)
                        .findFirst();
        String number = text.startsWith("+") ? text.substring(1) : text;
        boolean whole = number.matches("-?[0-9]+") && number.length() <= MOST_DIGITS;
        return word.or(
                () ->
                        whole
                                ? Optional.of(Integer.parseInt(number) - said.offset())
                                : Optional.empty());
    }
}
