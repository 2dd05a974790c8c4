package app.jerboa.server.profile;

import app.jerboa.core.knob.HttpAnswer;
import app.jerboa.core.knob.HttpCall;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.TallyTold;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.WebControl;
import app.jerboa.server.profile.ProfileRejected.Wrong;
import app.jerboa.server.words.Words;
import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.http.BodyForm;
import app.jerboa.wire.http.RequestTemplate;
import app.jerboa.wire.visca.FrameTemplate;
import app.jerboa.wire.visca.ViscaMessage;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Can what a profile says be put on the wire: are messages known, do templates and patterns hold?
 */
final class SayingCheck {
    private final List<Wrong> found = new ArrayList<>();

    private SayingCheck() {}

    static List<Wrong> of(Profile profile) {
        SayingCheck check = new SayingCheck();
        for (int i = 0; i < profile.knobs().size(); i++) {
            Knob k = profile.knobs().get(i);
            for (int j = 0; j < k.said().size(); j++) {
                check.saying(k.said().get(j), Optional.of(k), "/knobs/" + i + "/said/" + j);
            }
        }
        for (int i = 0; i < profile.verbs().size(); i++) {
            Verb v = profile.verbs().get(i);
            for (int j = 0; j < v.said().size(); j++) {
                check.saying(v.sayings().get(j), Optional.empty(), "/verbs/" + i + "/said/" + j);
            }
        }
        profile.web()
                .flatMap(WebControl::signInCall)
                .ifPresent(c -> check.call(c, "/web/signInCall"));
        profile.tally().ifPresent(check::tally);
        return check.found;
    }

    private void tally(TallyTold told) {
        told.reading().ifPresent(c -> call(c, "/tally/reading"));
        HttpAnswer f = told.found();
        holds("/tally/found", () -> AnswerShape.of(f.pointer(), f.pattern()));
    }

    private void insist(boolean holds, String at, String reason) {
        if (!holds) {
            found.add(new Wrong(at, reason));
        }
    }

    private void holds(String at, Runnable made) {
        try {
            made.run();
        } catch (IllegalArgumentException e) {
            found.add(new Wrong(at, e.getMessage()));
        }
    }

    private void saying(Saying s, Optional<Knob> knob, String at) {
        if (!s.message().isEmpty()) {
            Optional<ViscaMessage> message = ViscaMessage.named(s.message());
            insist(message.isPresent(), at + "/message", Words.say("profile.no-message"));
            message.ifPresent(m -> message(m, s, knob, at));
        }
        if (s.frame().startsWith("8x")) {
            holds(at + "/frame", () -> FrameTemplate.request(s.frame()));
        }
        if (!s.ask().isEmpty()) {
            holds(at + "/ask", () -> FrameTemplate.request(s.ask()));
        }
        if (!s.answer().isEmpty()) {
            holds(at + "/answer", () -> FrameTemplate.answer(s.answer()));
        }
        s.request().ifPresent(c -> call(c, at + "/request"));
        s.reading().ifPresent(c -> call(c, at + "/reading"));
        s.found()
                .ifPresent(
                        f -> holds(at + "/found", () -> AnswerShape.of(f.pointer(), f.pattern())));
    }

    private void message(ViscaMessage m, Saying s, Optional<Knob> knob, String at) {
        if (knob.isEmpty()) {
            insist(m.takesNothing(), at + "/message", Words.say("profile.needs-value"));
            return;
        }
        int low = knob.get().least() + s.offset();
        int high = knob.get().most() + s.offset();
        insist(
                m.takes(low) && m.takes(high),
                at + "/message",
                Words.say("profile.message-range", Map.of("least", low, "most", high)));
        insist(
                !knob.get().readable() || m.question().isPresent(),
                at + "/message",
                Words.say("profile.no-inquiry"));
    }

    private void call(HttpCall c, String at) {
        holds(
                at,
                () ->
                        RequestTemplate.of(
                                c.method().toString(),
                                c.path(),
                                BodyForm.named(c.kind().toString()),
                                c.body()));
    }
}
