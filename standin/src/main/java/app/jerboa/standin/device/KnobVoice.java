package app.jerboa.standin.device;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.knob.Verb;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.FrameTemplate;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;

/** Turns and reads a bank of knobs by the VISCA messages and frames of its profile. */
final class KnobVoice {
    private static final int SOCKET = 1;
    private static final int UP = 2;

    /** Tries one reading of some octets. */
    private interface Ear {
        Optional<List<ViscaReply>> hear(Octets body);
    }

    private final KnobBank bank;
    private final List<Ear> ears = new ArrayList<>();

    KnobVoice(KnobBank bank) {
        this.bank = bank;
        for (Knob k : bank.profile().knobs()) {
            visca(k.said()).filter(s -> !s.frame().isEmpty()).forEach(s -> frames(k, s));
        }
        for (Verb v : bank.profile().verbs()) {
            visca(v.sayings())
                    .filter(s -> !s.frame().isEmpty())
                    .forEach(
                            s ->
                                    hears(
                                            FrameTemplate.request(s.frame()),
                                            any -> obeyed(bank.tell(v))));
        }
    }

    private static java.util.stream.Stream<Saying> visca(List<Saying> said) {
        return said.stream().filter(s -> s.in() == Tongue.VISCA);
    }

    private void frames(Knob k, Saying s) {
        hears(FrameTemplate.request(s.frame()), value -> obeyed(bank.turn(k, value - s.offset())));
        if (k.readable()) {
            FrameTemplate answer = FrameTemplate.answer(s.answer());
            hears(
                    FrameTemplate.request(s.ask()),
                    any -> List.of(new ViscaReply.Answer(answer.fill(now(k) + s.offset()))));
        }
    }

    private void hears(FrameTemplate frame, Function<Integer, List<ViscaReply>> does) {
        ears.add(
                body -> {
                    OptionalInt value = frame.read(body);
                    return value.isPresent()
                            ? Optional.of(does.apply(value.getAsInt()))
                            : Optional.empty();
                });
    }

    private int now(Knob k) {
        return bank.value(k.name()).orElseThrow();
    }

    private static List<ViscaReply> obeyed(Optional<KnobBank.Refusal> refusal) {
        return refusal.map(
                        r ->
                                List.<ViscaReply>of(
                                        new ViscaReply.Refused(
                                                0,
                                                r.notNow()
                                                        ? ViscaError.NOT_EXECUTABLE
                                                        : ViscaError.SYNTAX)))
                .orElse(List.of(new ViscaReply.Ack(SOCKET), new ViscaReply.Completed(SOCKET)));
    }

    /** The replies to octets that no standard message has; empty when no knob has them either. */
    Optional<List<ViscaReply>> hear(Octets body) {
        return ears.stream().flatMap(e -> e.hear(body).stream()).findFirst();
    }

    /** The replies to a standard message; empty when no knob or verb is said by it. */
    Optional<List<ViscaReply>> hear(ViscaRequest.Sent it) {
        ViscaMessage message = it.message();
        for (Knob k : bank.profile().knobs()) {
            for (Saying s : visca(k.said()).toList()) {
                Optional<ViscaMessage> own = ViscaMessage.named(s.message());
                if (own.isEmpty()) {
                    continue;
                }
                if (own.get() == message) {
                    return Optional.of(obeyed(bank.turn(k, it.values().get(0) - s.offset())));
                } else if (own.get().question().filter(q -> q == message).isPresent()) {
                    return Optional.of(List.of(message.answer().encode(now(k) + s.offset())));
                } else if (steps(message, own.get())) {
                    int by = it.values().get(0) == UP ? 1 : -1;
                    int next = Math.max(k.least(), Math.min(k.most(), now(k) + by));
                    return Optional.of(obeyed(bank.turn(k, next)));
                }
            }
        }
        return bank.profile().verbs().stream()
                .filter(
                        v ->
                                visca(v.sayings())
                                        .anyMatch(s -> s.message().equals(message.written())))
                .findFirst()
                .map(v -> obeyed(bank.tell(v)));
    }

    private static boolean steps(ViscaMessage message, ViscaMessage knob) {
        return message == ViscaMessage.RED_GAIN_STEP && knob == ViscaMessage.RED_GAIN
                || message == ViscaMessage.BLUE_GAIN_STEP && knob == ViscaMessage.BLUE_GAIN;
    }

    /** The knob that this message sets. */
    Optional<Knob> knob(ViscaMessage message) {
        return bank.profile().knobs().stream()
                .filter(k -> visca(k.said()).anyMatch(s -> s.message().equals(message.written())))
                .findFirst();
    }
}
