package app.jerboa.server.knobs;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Verb;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.ProfileFrame;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.FrameTemplate;
import app.jerboa.wire.visca.ViscaMessage;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.CompletableFuture;

/** Octets over the link of a head: VISCA, or the D protocol where that is its link. */
final class ViscaMouth implements Mouth {
    private final HeadLink link;
    private final boolean polling;
    private final String device;

    /**
     * @param polling what is asked is a page's reading again, not a person's question
     */
    ViscaMouth(HeadLink link, String device, boolean polling) {
        this.polling = polling;
        this.link = link;
        this.device = device;
    }

    @Override
    public int ask(Knob knob, Saying said) {
        if (said.message().isEmpty()) {
            FrameTemplate answer = FrameTemplate.answer(said.answer());
            Octets payload =
                    wait(
                            knob.name(),
                            link.tell(
                                    ProfileFrame.question(
                                            Frames.of(FrameTemplate.request(said.ask()).fill(0)),
                                            answer.size(),
                                            Optional.of("ask " + knob.name())),
                                    polling));
            return value(knob, answer.read(payload), said);
        }
        ViscaMessage question =
                ViscaMessage.named(said.message()).orElseThrow().question().orElseThrow();
        Octets payload =
                wait(
                        knob.name(),
                        link.tell(
                                ProfileFrame.question(
                                        Frames.of(question),
                                        question.answerOctets(),
                                        Optional.empty()),
                                polling));
        OptionalInt read =
                question.answer().decode(payload).toOptional().stream()
                        .mapToInt(v -> v)
                        .findFirst();
        return value(knob, read, said);
    }

    private int value(Knob knob, OptionalInt read, Saying said) {
        return read.orElseThrow(
                        () ->
                                new NotTold(
                                        "not-understood",
                                        Words.say(
                                                "told.not-understood",
                                                Map.of("device", device, "what", knob.name()))))
                - said.offset();
    }

    @Override
    public void turn(Knob knob, Saying said, int value) {
        String called = knob.name() + " to " + knob.valueWords(value);
        order(knob.name(), Frames.turning(said, value), called(said, called));
    }

    @Override
    public void tell(Verb verb, Saying said) {
        order(verb.name(), Frames.telling(said), called(said, verb.name()));
    }

    /** Octets that only this profile has say nothing to a reader of the wire log. */
    private static Optional<String> called(Saying said, String words) {
        return said.message().isEmpty() ? Optional.of(words) : Optional.empty();
    }

    private void order(String what, Octets frame, Optional<String> called) {
        wait(what, link.tell(ProfileFrame.order(frame, called), false));
    }

    private <T> T wait(String what, CompletableFuture<T> told) {
        return Patience.with(device, what, told);
    }
}
