package app.jerboa.server.jobfile;

import app.jerboa.core.item.ItemKind;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** What writer, reader and schema agree on. */
final class JobFileFormat {
    static final String FORMAT = "jerboa-job";

    /** Raised when a file of before could no longer be read, never for a field more. */
    static final int VERSION = 1;

    static final String LOG = "log";

    /** Every secret as one text under a passphrase; only when somebody asked for it. */
    static final String SEALED = "sealedSecrets";

    static final int LONGEST_SEALED = 2_000_000;
    static final int MOST_ITEMS = 50_000;
    static final int MOST_LOG_LINES = 100_000;
    static final int LONGEST_LOG_TEXT = 1_000;

    /** Kinds that came after the first files were written: left out is none. */
    static final Set<String> MAY_BE_MISSING =
            Set.of(
                    SEALED,
                    key(ItemKind.ROUTE),
                    key(ItemKind.MOUNT),
                    key(ItemKind.PRESET),
                    key(ItemKind.SHOT_LIST),
                    key(ItemKind.TAKE),
                    key(ItemKind.RUN),
                    key(ItemKind.PRICE),
                    key(ItemKind.PREPARED),
                    key(ItemKind.PROFILE));

    /** What a file holds; secrets never stand in it openly. */
    static final List<ItemKind> KINDS =
            Arrays.stream(ItemKind.values()).filter(k -> k != ItemKind.SECRET).toList();

    private JobFileFormat() {}

    /** The key an item kind stands under; the site alone, all others in a list. */
    static String key(ItemKind kind) {
        return kind == ItemKind.SITE ? kind.wire() : kind.wire() + "s";
    }
}
