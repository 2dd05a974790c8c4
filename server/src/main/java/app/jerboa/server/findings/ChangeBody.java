package app.jerboa.server.findings;

import app.jerboa.core.value.Change;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.server.platform.Problem;
import java.util.Map;
import org.springframework.http.HttpStatus;

/** One field of one device from one text to another, as JSON. */
public record ChangeBody(long deviceId, String field, String before, String after) {
    private static final int LONGEST = 200;

    public static ChangeBody of(Change change) {
        return new ChangeBody(
                change.device().value(), change.field().wire(), change.before(), change.after());
    }

    public Change toChange() {
        Field known =
                Field.fromWire(field)
                        .orElseThrow(
                                () ->
                                        new Problem(
                                                HttpStatus.BAD_REQUEST,
                                                "bad-value",
                                                "There is no field of that name to change. Nothing was changed.",
                                                Map.of("field", "field")));
        if (before.length() > LONGEST || after.length() > LONGEST) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    "That text is over " + LONGEST + " characters. Nothing was changed.",
                    Map.of("field", field));
        }
        return new Change(new DeviceId(deviceId), known, before, after);
    }
}
