package app.jerboa.wire.panel;

import app.jerboa.wire.octets.Octets;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Cuts octets into lines of text; one that is too long is skipped up to its end. */
public final class LineFramer {
    /** Octets of a line in UTF-8. */
    private static final int LONGEST = 4 * PanelMessage.LONGEST;

    private static final byte END = '\n';

    private byte[] line = new byte[256];
    private int size;
    private boolean skipping;

    /** The line as it goes out, with its end. */
    public static Octets frame(String line) {
        return Octets.of((line + (char) END).getBytes(StandardCharsets.UTF_8));
    }

    /** Each line that is finished; the rest stays pending. */
    public List<String> accept(Octets octets) {
        List<String> lines = new ArrayList<>();
        for (byte octet : octets.toArray()) {
            if (octet == END) {
                if (!skipping) {
                    lines.add(new String(line, 0, size, StandardCharsets.UTF_8));
                }
                clear();
            } else if (size == LONGEST) {
                skipping = true;
            } else if (!skipping) {
                keep(octet);
            }
        }
        return lines;
    }

    private void keep(byte octet) {
        if (size == line.length) {
            line = Arrays.copyOf(line, 2 * size);
        }
        line[size++] = octet;
    }

    public void clear() {
        size = 0;
        skipping = false;
    }
}
