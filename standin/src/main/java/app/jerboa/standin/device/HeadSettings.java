package app.jerboa.standin.device;

import app.jerboa.wire.visca.ViscaMessage;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/** What a head was told to be set to, message by message; as from the factory until then. */
final class HeadSettings {
    static final int ON = 2;
    static final int OFF = 3;
    private static final int UP = 2;
    private static final int MIDDLE = 0x80;
    private static final int MOST = 0xFF;
    private static final int NEAREST = 0x1000;
    private static final int FARTHEST = 0xF000;

    private static final Map<ViscaMessage, ViscaMessage> ASKED =
            Map.ofEntries(
                    Map.entry(ViscaMessage.ASK_POWER, ViscaMessage.POWER),
                    Map.entry(ViscaMessage.ASK_FOCUS, ViscaMessage.FOCUS_DIRECT),
                    Map.entry(ViscaMessage.ASK_FOCUS_MODE, ViscaMessage.FOCUS_MODE),
                    Map.entry(ViscaMessage.ASK_WHITE_BALANCE, ViscaMessage.WHITE_BALANCE),
                    Map.entry(ViscaMessage.ASK_RED_GAIN, ViscaMessage.RED_GAIN),
                    Map.entry(ViscaMessage.ASK_BLUE_GAIN, ViscaMessage.BLUE_GAIN),
                    Map.entry(ViscaMessage.ASK_EXPOSURE, ViscaMessage.EXPOSURE),
                    Map.entry(ViscaMessage.ASK_SHUTTER, ViscaMessage.SHUTTER),
                    Map.entry(ViscaMessage.ASK_IRIS, ViscaMessage.IRIS),
                    Map.entry(ViscaMessage.ASK_GAIN, ViscaMessage.GAIN),
                    Map.entry(ViscaMessage.ASK_BRIGHT, ViscaMessage.BRIGHT),
                    Map.entry(ViscaMessage.ASK_DETAIL, ViscaMessage.DETAIL),
                    Map.entry(ViscaMessage.ASK_SATURATION, ViscaMessage.SATURATION),
                    Map.entry(ViscaMessage.ASK_HUE, ViscaMessage.HUE),
                    Map.entry(ViscaMessage.ASK_BACKLIGHT, ViscaMessage.BACKLIGHT),
                    Map.entry(ViscaMessage.ASK_MENU, ViscaMessage.MENU),
                    Map.entry(ViscaMessage.ASK_TALLY, ViscaMessage.TALLY),
                    Map.entry(ViscaMessage.ASK_INFRARED, ViscaMessage.INFRARED));

    private static final Map<ViscaMessage, ViscaMessage> STEPPED =
            Map.of(
                    ViscaMessage.RED_GAIN_STEP, ViscaMessage.RED_GAIN,
                    ViscaMessage.BLUE_GAIN_STEP, ViscaMessage.BLUE_GAIN);

    private final Map<ViscaMessage, Integer> values = new EnumMap<>(ViscaMessage.class);

    HeadSettings() {
        ASKED.values().forEach(m -> values.put(m, 0));
        List.of(ViscaMessage.POWER, ViscaMessage.INFRARED, ViscaMessage.FOCUS_MODE)
                .forEach(m -> values.put(m, ON));
        List.of(ViscaMessage.MENU, ViscaMessage.TALLY, ViscaMessage.BACKLIGHT)
                .forEach(m -> values.put(m, OFF));
        List.of(ViscaMessage.RED_GAIN, ViscaMessage.BLUE_GAIN).forEach(m -> values.put(m, MIDDLE));
        values.put(ViscaMessage.FOCUS_DIRECT, NEAREST);
    }

    boolean standby() {
        return values.get(ViscaMessage.POWER) == OFF;
    }

    /** False for a message that sets nothing here. */
    boolean take(ViscaMessage message, List<Integer> told) {
        ViscaMessage stepped = STEPPED.get(message);
        if (stepped != null) {
            int by = told.get(0) == UP ? 1 : -1;
            values.merge(stepped, by, (now, b) -> Math.max(0, Math.min(MOST, now + b)));
            return true;
        }
        if (!values.containsKey(message)) {
            return false;
        }
        values.put(message, told.get(0));
        return true;
    }

    void shiftFocus(int by) {
        values.merge(
                ViscaMessage.FOCUS_DIRECT,
                by,
                (now, b) -> Math.max(NEAREST, Math.min(FARTHEST, now + b)));
    }

    /** What an inquiry is answered with; empty for one that asks for something else. */
    OptionalInt answer(ViscaMessage asked) {
        ViscaMessage set = ASKED.get(asked);
        return set == null ? OptionalInt.empty() : OptionalInt.of(values.get(set));
    }
}
