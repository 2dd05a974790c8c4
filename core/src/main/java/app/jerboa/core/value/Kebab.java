package app.jerboa.core.value;

import java.util.Locale;

/** Constants as the files write them: {@code CEILING_PTZ} is {@code ceiling-ptz}. */
public final class Kebab {
    private Kebab() {}

    public static String of(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
