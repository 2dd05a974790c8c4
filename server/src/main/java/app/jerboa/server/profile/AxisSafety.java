package app.jerboa.server.profile;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.Axis;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.profile.ProfileRejected.Wrong;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.AxisFrames;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.FrameTemplate;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Pattern;

/**
 * An axis is driven by frames of its own, and by nothing else: a frame that says something standard
 * would switch off or turn what nobody meant, and a knob that says an axis' frame would move it
 * where no stop follows. Octets decide, whatever a profile calls them.
 */
final class AxisSafety {
    private static final int MOST_TRIED = 0x100;

    /** Its value alone has a place. */
    private static final Pattern FILLED = Pattern.compile("8x[0-9A-Fp ]*");

    private final List<Wrong> found = new ArrayList<>();
    private final Map<String, AxisFrames> axes = new LinkedHashMap<>();

    private AxisSafety() {}

    /** Of a profile whose frames can be read. */
    static List<Wrong> of(Profile profile) {
        AxisSafety check = new AxisSafety();
        profile.head().flatMap(Head::roll).ifPresent(a -> check.axis(a, "/head/roll"));
        profile.head().flatMap(Head::rail).ifPresent(a -> check.axis(a, "/head/rail"));
        for (int i = 0; i < profile.knobs().size(); i++) {
            Knob k = profile.knobs().get(i);
            check.sayings(k.said(), "/knobs/" + i + "/said/");
        }
        for (int i = 0; i < profile.verbs().size(); i++) {
            Verb v = profile.verbs().get(i);
            check.sayings(v.sayings(), "/verbs/" + i + "/said/");
        }
        return check.found;
    }

    private void axis(Axis axis, String at) {
        Optional<AxisFrames> frames = frames(axis);
        if (frames.isEmpty()) {
            return;
        }
        int steps = frames.get().steps();
        for (int value = 0; value <= 2 * steps; value++) {
            if (standard(frames.get().drive().fill(value))) {
                found.add(new Wrong(at + "/drive", Words.say("profile.no-axis")));
                break;
            }
        }
        boolean taken =
                axes.values().stream()
                        .anyMatch(o -> o.step(frames.get().drive().fill(steps)).isPresent());
        if (taken) {
            found.add(new Wrong(at + "/drive", Words.say("profile.other-axis")));
        }
        axes.put(at, frames.get());
    }

    private static Optional<AxisFrames> frames(Axis axis) {
        try {
            return axis.speeds()
                    .map(s -> AxisFrames.of(s.steps(), axis.drive(), axis.ask(), axis.answer()));
        } catch (IllegalArgumentException unreadable) {
            // That is said where frames are read.
            return Optional.empty();
        }
    }

    private static boolean standard(Octets body) {
        Octets frame = Octets.of(0x81).plus(body).plus(Octets.of(0xFF));
        return ViscaRequest.decode(frame).toOptional().isPresent();
    }

    private void sayings(List<Saying> said, String at) {
        for (int i = 0; i < said.size(); i++) {
            String frame = said.get(i).frame();
            if (frame.startsWith("8x") && drives(frame)) {
                found.add(new Wrong(at + i + "/frame", Words.say("profile.no-stop")));
            }
        }
    }

    private boolean drives(String frame) {
        if (axes.isEmpty() || !FILLED.matcher(frame).matches()) {
            return false;
        }
        try {
            FrameTemplate template = FrameTemplate.request(frame);
            int most = template.valueBits() == 0 ? 1 : MOST_TRIED;
            for (int value = 0; value < most && value < 1 << template.valueBits(); value++) {
                Octets body = template.fill(value);
                if (axes.values().stream()
                        .map(a -> a.step(body))
                        .anyMatch(OptionalInt::isPresent)) {
                    return true;
                }
            }
            return false;
        } catch (IllegalArgumentException unreadable) {
            return false;
        }
    }
}
