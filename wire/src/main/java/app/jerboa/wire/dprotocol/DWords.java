package app.jerboa.wire.dprotocol;

import app.jerboa.wire.octets.Octets;
import java.util.Locale;

/** A frame in a few plain words, for the wire log. */
public final class DWords {
    private static final DMessage.Cases<String> WORDS =
            new DMessage.Cases<>() {
                @Override
                public String drive(DMessage.Drive it) {
                    return it.equals(DMessage.Drive.STOP)
                            ? "stop all that moves"
                            : "drive pan "
                                    + it.pan()
                                    + ", tilt "
                                    + it.tilt()
                                    + ", zoom "
                                    + it.zoom()
                                    + ", focus "
                                    + it.focus()
                                    + ", iris "
                                    + it.iris();
                }

                @Override
                public String preset(DMessage.Preset it) {
                    return switch (it.action()) {
                                case SET -> "store preset ";
                                case CLEAR -> "forget preset ";
                                case GO -> "recall preset ";
                            }
                            + it.number();
                }

                @Override
                public String ask(DMessage.Ask it) {
                    return "ask " + name(it.axis()) + " position";
                }

                @Override
                public String position(DMessage.Position it) {
                    return it.axis() == DAxis.ZOOM
                            ? "zoom at " + it.value() + " of 65535"
                            : String.format(
                                    Locale.ROOT,
                                    "%s at %.2f°",
                                    name(it.axis()),
                                    it.value() / 100.0);
                }

                @Override
                public String other(DMessage.Other it) {
                    return String.format(
                            Locale.ROOT,
                            "function %02X %02X %02X %02X",
                            it.c1(),
                            it.c2(),
                            it.d1(),
                            it.d2());
                }
            };

    private DWords() {}

    private static String name(DAxis axis) {
        return axis.name().toLowerCase(Locale.ROOT);
    }

    public static String of(DMessage message) {
        return message.match(WORDS);
    }

    /** A whole frame; one that is not known says so. */
    public static String of(DForm form, Octets frame) {
        return form.decode(frame)
                .toOptional()
                .map(a -> "head " + a.address() + ": " + of(a.message()))
                .orElse("unknown");
    }
}
