package app.jerboa.server.profile;

import app.jerboa.wire.visca.ViscaMessage;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Profiles as they were written before there were knobs and verbs: {@code paint} with a list of
 * names, and {@code frames} of fixed octets. They are read as what they meant.
 */
public final class OldForms {
    private static final int MOST_ON_WIRE = 255;
    private static final int BUS_FRAME_LETTERS = 20;

    /** Where the name of a knob is not that of its message. */
    private static final Map<String, String> CALLED = new TreeMap<>(Map.of("matrix", "hue"));

    private OldForms() {}

    /** Changed in place; a profile of today stays as it is. */
    public static void renew(JsonNode tree) {
        if (tree instanceof ObjectNode profile) {
            if (profile.get("paint") instanceof ObjectNode paint && paint.has("controls")) {
                profile.remove("paint");
                paint(profile, paint);
            }
            if (profile.get("frames") instanceof ArrayNode frames) {
                profile.remove("frames");
                frames(profile, frames);
            }
        }
    }

    private static void paint(ObjectNode profile, ObjectNode paint) {
        if (paint.get("needs") instanceof ArrayNode needs && !needs.isEmpty()) {
            profile.set("paintNeeds", needs);
        }
        boolean visca = speaks(profile, "visca-");
        boolean twoWay = paint.path("twoWay").asBoolean(false);
        for (JsonNode control : paint.get("controls")) {
            String called = control.asString("").replace('-', ' ');
            Optional<ViscaMessage> message = message(control.asString(""));
            if (visca && message.isPresent()) {
                ObjectNode knob = profile.withArray("/knobs").addObject();
                knob.put("name", called).put("use", "paint").put("least", 0);
                knob.put("most", most(message.get())).put("readable", twoWay);
                knob.putArray("said")
                        .addObject()
                        .put("in", "visca")
                        .put("message", message.get().written());
            } else if (sends(profile)) {
                profile.withArray("/turns").add(called);
            }
        }
    }

    private static Optional<ViscaMessage> message(String control) {
        return ViscaMessage.named(CALLED.getOrDefault(control, control))
                .filter(m -> m.question().isPresent());
    }

    private static int most(ViscaMessage message) {
        int most = MOST_ON_WIRE;
        while (most > 0 && !message.takes(most)) {
            most--;
        }
        return most;
    }

    private static boolean speaks(ObjectNode profile, String start) {
        for (JsonNode s : profile.path("speaks")) {
            if (!s.path("sends").asBoolean(false)
                    && s.path("protocol").asString("").startsWith(start)) {
                return true;
            }
        }
        return false;
    }

    private static boolean sends(ObjectNode profile) {
        for (JsonNode s : profile.path("speaks")) {
            if (s.path("sends").asBoolean(false)) {
                return true;
            }
        }
        return false;
    }

    private static void frames(ObjectNode profile, ArrayNode frames) {
        for (JsonNode frame : frames) {
            String hex = frame.path("hex").asString("").toUpperCase(Locale.ROOT);
            boolean bus = hex.startsWith("FF ") && hex.length() == BUS_FRAME_LETTERS;
            boolean visca = hex.matches("8[1-7] .* FF");
            if (!(bus && speaks(profile, "d-protocol") || visca && speaks(profile, "visca-"))) {
                continue;
            }
            ObjectNode verb = profile.withArray("/verbs").addObject();
            verb.put("name", frame.path("name").asString("")).put("does", "sets");
            ObjectNode said = verb.putArray("said").addObject();
            said.put("in", bus ? "d-protocol" : "visca");
            said.put(
                    "frame",
                    bus ? "FF aa " + hex.substring(6, 17) + " ss" : "8x" + hex.substring(2));
        }
    }
}
