package app.jerboa.core.job.bringup;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Secret;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * One thing to do within a step.
 *
 * @param facts what its words are filled with
 * @param value to be typed or read, exactly; empty when there is none
 * @param secret to be typed; shown only on request
 */
public record Action(Kind kind, Map<String, String> facts, String value, Optional<Secret> secret) {
    /** What is done; its words stand in the catalogue under this name. */
    public enum Kind {
        RESET_NETWORK,
        RESET_ALL,
        FIT_OPTION,
        INTO_PORT,
        OUT_OF_PORT,
        DISCONNECT_FIRST,
        ASK_FACTORY,
        FIND_LEASE,
        FIND_LINK_LOCAL,
        LOAD_FIRMWARE,
        SWITCH_TO_LEASE,
        SEARCH_FOR,
        LEASE_BY_SEARCH,
        READ_CODE,
        TYPE_CODE,
        IF_NOT_LET_IN,
        LOG_IN_FACTORY,
        LOG_IN_PRINTED,
        SET_FIRST_LOGIN,
        LOG_IN_OPEN,
        CHANGE_PASSWORD,
        SET_CLOCK,
        REMOTE_ON,
        SERVICE_MENU,
        LINK_MODE,
        LINK_TO,
        LEASE_OFF,
        STAY_ON_LEASE,
        RESERVE,
        ADDRESS,
        MASK,
        GATEWAY,
        SAVE_RESTART,
        ASK_PLANNED,
        ASK_NUMBER,
        ASK_THROUGH,
        NOTE_FIRMWARE,
        RECHECK_AFTER_UPDATE,
        LABEL_TEXT,
        FORMAT_DIAL,
        FORMAT_MENU,
        SERIAL_ID,
        BAUD,
        FRAMING,
        SERIAL_PROTOCOL,
        NOTE_FIRST_PICTURE,
        TERMINATOR,
        IR_ID,
        IR_OFF,
        LENS_SWITCHES,
        STUDIO_ADAPTER,
        OVERLAY_OFF,
        INVERT,
        ENTER_BY_WEB_PAGE,
        ENTER_AT_PANEL,
        ENTER_BY_SEARCH,
        SEARCH_KEEPS,
        SEARCH_HANDS_OUT,
        COUNT_FROM,
        ENTRY,
        ENTRY_LOGIN,
        SERIAL_ENTRY,
        JOIN_WIRELESS,
        WIRELESS_FALL_BACK,
        PAIR_TUNNEL,
        TUNNEL_LIGHTS,
        STREAM_TO,
        STREAM_KEY,
        STREAM_RATE,
        STREAM_PREVIEW
    }

    public Action {
        facts = Map.copyOf(facts);
    }

    static Action of(Kind kind) {
        return new Action(kind, Map.of(), "", Optional.empty());
    }

    static Action of(Kind kind, String value) {
        return new Action(kind, Map.of(), value, Optional.empty());
    }

    Action with(String fact, String text) {
        Map<String, String> more = new HashMap<>(facts);
        more.put(fact, text);
        return new Action(kind, more, value, secret);
    }

    Action with(Optional<Secret> other) {
        return new Action(kind, facts, value, other);
    }

    static Action about(Kind kind, Device device) {
        return of(kind).with("device", device.name());
    }
}
