package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Every message of a controller that code need not tell apart, a line each: its octets between
 * address and end mark with places for values, what each value may be, and whether it ends at once
 * or on arrival. A new message is one line more. What code must tell apart (drive, zoom, home, the
 * inquiries of position) has types of its own in {@link ViscaRequest}.
 */
public enum ViscaMessage {
    ADDRESS_SET("set addresses", "30 0w", at('w', "first", 1, 7)),
    POWER("power", "01 04 00 0p", at('p', "on 2, standby 3", 2, 3)),
    RESET("reset pan and tilt", "01 06 05", Ends.ON_ARRIVAL),
    ABSOLUTE(
            "move to",
            "01 06 02 VV WW 0Y 0Y 0Y 0Y 0Z 0Z 0Z 0Z",
            Ends.ON_ARRIVAL,
            at('V', "pan speed", 1, 0x18),
            at('W', "tilt speed", 1, 0x14),
            at('Y', "pan", -0x8000, 0x7FFF),
            at('Z', "tilt", -0x8000, 0x7FFF)),
    RELATIVE(
            "move by",
            "01 06 03 VV WW 0Y 0Y 0Y 0Y 0Z 0Z 0Z 0Z",
            Ends.ON_ARRIVAL,
            at('V', "pan speed", 1, 0x18),
            at('W', "tilt speed", 1, 0x14),
            at('Y', "pan", -0x8000, 0x7FFF),
            at('Z', "tilt", -0x8000, 0x7FFF)),
    LIMIT_CLEAR("clear limit", "01 06 07 01 0w 07 0F 0F 0F 07 0F 0F 0F", at('w', "corner", 0, 1)),
    LIMIT_SET(
            "set limit",
            "01 06 07 00 0w 0Y 0Y 0Y 0Y 0Z 0Z 0Z 0Z",
            at('w', "corner", 0, 1),
            at('Y', "pan", -0x8000, 0x7FFF),
            at('Z', "tilt", -0x8000, 0x7FFF)),
    ZOOM_DIRECT("zoom to", "01 04 47 0p 0p 0p 0p", Ends.ON_ARRIVAL, at('p', "position", 0, 0xFFFF)),
    FOCUS_STOP("stop focus", "01 04 08 00"),
    FOCUS_FAR("focus far", "01 04 08 02"),
    FOCUS_NEAR("focus near", "01 04 08 03"),
    FOCUS_FAR_AT("focus far at", "01 04 08 2p", at('p', "speed", 0, 7)),
    FOCUS_NEAR_AT("focus near at", "01 04 08 3p", at('p', "speed", 0, 7)),
    FOCUS_DIRECT(
            "focus to", "01 04 48 0p 0p 0p 0p", Ends.ON_ARRIVAL, at('p', "position", 0, 0xFFFF)),
    FOCUS_MODE("focus mode", "01 04 38 0p", at('p', "auto 2, manual 3", 2, 3)),
    FOCUS_ONE_PUSH("focus once", "01 04 18 01"),
    WHITE_BALANCE("white balance", "01 04 35 0p", at('p', "mode", 0, 5)),
    WHITE_BALANCE_ONCE("white balance once", "01 04 10 05"),
    RED_GAIN("red gain", "01 04 43 00 00 0p 0p", at('p', "value", 0, 0xFF)),
    BLUE_GAIN("blue gain", "01 04 44 00 00 0p 0p", at('p', "value", 0, 0xFF)),
    RED_GAIN_STEP("red gain by a step", "01 04 03 0p", at('p', "up 2, down 3", 2, 3)),
    BLUE_GAIN_STEP("blue gain by a step", "01 04 04 0p", at('p', "up 2, down 3", 2, 3)),
    EXPOSURE("exposure mode", "01 04 39 0p", at('p', "mode", 0, 0x0F)),
    SHUTTER("shutter", "01 04 4A 00 00 0p 0p", at('p', "value", 0, 0xFF)),
    IRIS("iris", "01 04 4B 00 00 0p 0p", at('p', "value", 0, 0xFF)),
    GAIN("gain", "01 04 4C 00 00 0p 0p", at('p', "value", 0, 0xFF)),
    BRIGHT("bright", "01 04 4D 00 00 0p 0p", at('p', "value", 0, 0xFF)),
    DETAIL("detail", "01 04 42 00 00 0p 0p", at('p', "value", 0, 0xFF)),
    SATURATION("saturation", "01 04 49 00 00 00 0p", at('p', "value", 0, 0x0F)),
    HUE("hue", "01 04 4F 00 00 00 0p", at('p', "value", 0, 0x0F)),
    BACKLIGHT("backlight", "01 04 33 0p", at('p', "on 2, off 3", 2, 3)),
    PRESET_RESET("forget preset", "01 04 3F 00 pp", at('p', "preset", 0, 0xFE)),
    PRESET_SET("store preset", "01 04 3F 01 pp", at('p', "preset", 0, 0xFE)),
    PRESET_RECALL("recall preset", "01 04 3F 02 pp", Ends.ON_ARRIVAL, at('p', "preset", 0, 0xFE)),
    PRESET_SPEED("preset speed", "01 06 01 pp", at('p', "speed", 1, 0x18)),
    MENU("menu", "01 06 06 0p", at('p', "on 2, off 3", 2, 3)),
    TALLY("tally", "01 7E 01 0A 00 0p", at('p', "on 2, off 3", 2, 3)),
    INFRARED("infrared receiver", "01 06 08 0p", at('p', "on 2, off 3", 2, 3)),
    CANCEL("cancel", "2y", at('y', "socket", 1, 0x0F)),

    ASK_POWER("ask power", "09 04 00", Answer.MODE),
    ASK_FOCUS("ask focus position", "09 04 48", Answer.POSITION),
    ASK_FOCUS_MODE("ask focus mode", "09 04 38", Answer.MODE),
    ASK_WHITE_BALANCE("ask white balance", "09 04 35", Answer.MODE),
    ASK_RED_GAIN("ask red gain", "09 04 43", Answer.VALUE),
    ASK_BLUE_GAIN("ask blue gain", "09 04 44", Answer.VALUE),
    ASK_EXPOSURE("ask exposure mode", "09 04 39", Answer.MODE),
    ASK_SHUTTER("ask shutter", "09 04 4A", Answer.VALUE),
    ASK_IRIS("ask iris", "09 04 4B", Answer.VALUE),
    ASK_GAIN("ask gain", "09 04 4C", Answer.VALUE),
    ASK_BRIGHT("ask bright", "09 04 4D", Answer.VALUE),
    ASK_DETAIL("ask detail", "09 04 42", Answer.VALUE),
    ASK_SATURATION("ask saturation", "09 04 49", Answer.VALUE),
    ASK_HUE("ask hue", "09 04 4F", Answer.VALUE),
    ASK_BACKLIGHT("ask backlight", "09 04 33", Answer.MODE),
    ASK_MENU("ask menu", "09 06 06", Answer.MODE),
    ASK_TALLY("ask tally", "09 7E 01 0A", Answer.MODE),
    ASK_INFRARED("ask infrared receiver", "09 06 08", Answer.MODE);

    /** When a command is completed. */
    public enum Ends {
        AT_ONCE,
        /** A newer motion cancels it. */
        ON_ARRIVAL
    }

    /** The octets of an inquiry's answer, after its {@code y0 50}. */
    public enum Answer {
        /** It is no inquiry. */
        NONE("", 0),
        MODE("pp", 0xFF),
        VALUE("00 00 0p 0p", 0xFF),
        POSITION("0p 0p 0p 0p", 0xFFFF);

        // Read only once it is made.
        @SuppressWarnings("ImmutableEnumChecker")
        private final Template template;

        private final int most;

        Answer(String template, int most) {
            this.template = Template.of(template);
            this.most = most;
        }

        /** What it says, as the inquiry's shape has it. */
        public Decoded<Integer> decode(Octets payload) {
            return template.decode(payload)
                    .map(v -> Decoded.accepted(v.get('p')))
                    .orElseGet(() -> Decoded.rejected(payload, "another shape than was asked for"));
        }

        /**
         * @throws IllegalArgumentException for a value that does not fit
         */
        public ViscaReply.Answer encode(int value) {
            if (this == NONE || value < 0 || value > most) {
                throw new IllegalArgumentException("an answer is 0 to " + most + ", got " + value);
            }
            return new ViscaReply.Answer(template.encode(Map.of('p', value)));
        }

        /** Octets of the payload. */
        int size() {
            return template.size();
        }
    }

    private final String words;

    // Read only once it is made.
    @SuppressWarnings("ImmutableEnumChecker")
    private final Template template;

    private final Ends ends;
    private final Answer answer;

    // A copied list: it does not change.
    @SuppressWarnings("ImmutableEnumChecker")
    private final List<Place> places;

    ViscaMessage(String words, String template, Place... places) {
        this(words, template, Ends.AT_ONCE, Answer.NONE, places);
    }

    ViscaMessage(String words, String template, Ends ends, Place... places) {
        this(words, template, ends, Answer.NONE, places);
    }

    ViscaMessage(String words, String template, Answer answer) {
        this(words, template, Ends.AT_ONCE, answer);
    }

    ViscaMessage(String words, String template, Ends ends, Answer answer, Place... places) {
        this.words = words;
        this.template = Template.of(template);
        this.ends = ends;
        this.answer = answer;
        this.places = List.of(places);
        List<Character> letters = this.places.stream().map(Place::letter).toList();
        if (!letters.equals(List.copyOf(this.template.places().keySet()))) {
            throw new IllegalArgumentException(template + " has other places than " + letters);
        }
    }

    private static Place at(char letter, String name, int least, int most) {
        return new Place(letter, name, least, most);
    }

    /** For the wire log, without its values. */
    public String words() {
        return words;
    }

    public Ends ends() {
        return ends;
    }

    /** The shape of the answer; {@link Answer#NONE} for a command. */
    public Answer answer() {
        return answer;
    }

    /** The message of this name as profiles write it: {@code RED_GAIN} is {@code red-gain}. */
    public static Optional<ViscaMessage> named(String name) {
        return Arrays.stream(values()).filter(m -> m.written().equals(name)).findFirst();
    }

    /** As profiles write it. */
    public String written() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The inquiry that asks for what this command sets: the same category and function, asked with
     * 09 instead of set with 01.
     */
    public Optional<ViscaMessage> question() {
        return Arrays.stream(values())
                .filter(m -> m.answer != Answer.NONE && template.asksSame(m.template))
                .findFirst();
    }

    /**
     * Its one value can be this.
     *
     * @return false also for a message without exactly one value
     */
    public boolean takes(int value) {
        return places.size() == 1 && places.get(0).takes(value);
    }

    /** Octets of the payload that answers it; 0 for a command. */
    public int answerOctets() {
        return answer.size();
    }

    /** A command without a value. */
    public boolean takesNothing() {
        return places.isEmpty() && answer == Answer.NONE;
    }

    /** How many values it takes. */
    public int valueCount() {
        return places.size();
    }

    /** It goes to all cameras at once. */
    public boolean broadcast() {
        return this == ADDRESS_SET;
    }

    /**
     * @param values in the order of the places
     * @throws IllegalArgumentException for another number of values, or one out of its range
     */
    Octets body(List<Integer> values) {
        if (values.size() != places.size()) {
            throw new IllegalArgumentException(
                    words + " takes " + places.size() + " values, got " + values);
        }
        Map<Character, Integer> wire = new HashMap<>();
        for (int i = 0; i < places.size(); i++) {
            Place place = places.get(i);
            int value = values.get(i);
            if (!place.takes(value)) {
                throw new IllegalArgumentException(
                        words
                                + ": "
                                + place.name()
                                + " runs from "
                                + place.least()
                                + " to "
                                + place.most()
                                + ", got "
                                + value);
            }
            wire.put(place.letter(), place.onWire(value, bits(place)));
        }
        return template.encode(wire);
    }

    private int bits(Place place) {
        return template.places().get(place.letter());
    }

    /** The values of these octets, if they are this message. */
    private Optional<List<Integer>> read(Octets body) {
        return template.decode(body)
                .map(
                        wire -> {
                            List<Integer> values = new ArrayList<>();
                            places.forEach(
                                    p -> values.add(p.fromWire(wire.get(p.letter()), bits(p))));
                            return values;
                        })
                .filter(
                        values -> {
                            for (int i = 0; i < places.size(); i++) {
                                if (!places.get(i).takes(values.get(i))) {
                                    return false;
                                }
                            }
                            return true;
                        });
    }

    /** The message of these octets between address and end mark. */
    static Optional<ViscaRequest> decode(Octets body) {
        return Arrays.stream(values())
                .filter(m -> m.template.size() == body.size())
                .flatMap(m -> m.read(body).map(v -> new ViscaRequest.Sent(m, v)).stream())
                .map(ViscaRequest.class::cast)
                .findFirst();
    }

    /** With its values, for the wire log. */
    String words(List<Integer> values) {
        StringBuilder all = new StringBuilder(words);
        for (int i = 0; i < places.size(); i++) {
            all.append(i == 0 ? " " : ", ").append(places.get(i).name()).append(' ');
            all.append(values.get(i));
        }
        return all.toString();
    }
}
