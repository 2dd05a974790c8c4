package app.jerboa.server.network;

import app.jerboa.core.net.Ipv4;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * The machine's own table of who has which address on its links: read from {@code /proc/net/arp}
 * where there is one, else nothing is told. An entry is there only after something was sent.
 */
@Component
class Neighbours {
    private static final Path TABLE = Path.of("/proc/net/arp");
    private static final int COMPLETE = 0x2;

    private final Path table;

    Neighbours() {
        this(TABLE);
    }

    Neighbours(Path table) {
        this.table = table;
    }

    /** What the table says of an address. */
    sealed interface Entry {
        /** It is not in the table, or there is no table. */
        record Unknown() implements Entry {}

        /** It was asked for, and nobody answered. */
        record Nobody() implements Entry {}

        /**
         * @param mac in lower case
         */
        record Known(String mac) implements Entry {}
    }

    Entry of(Ipv4 address) {
        return lines().stream()
                .map(line -> line.strip().split("\\s+", -1))
                .filter(columns -> columns.length >= 4 && columns[0].equals(address.toString()))
                .findFirst()
                .map(Neighbours::entry)
                .orElseGet(Entry.Unknown::new);
    }

    private static Entry entry(String... columns) {
        Optional<Integer> flags = flags(columns[2]);
        return flags.filter(f -> (f & COMPLETE) != 0).isPresent()
                ? new Entry.Known(columns[3].toLowerCase(Locale.ROOT))
                : new Entry.Nobody();
    }

    private static Optional<Integer> flags(String text) {
        try {
            return Optional.of(Integer.decode(text));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private List<String> lines() {
        try {
            return Files.readAllLines(table, StandardCharsets.US_ASCII);
        } catch (IOException e) {
            return List.of();
        }
    }
}
