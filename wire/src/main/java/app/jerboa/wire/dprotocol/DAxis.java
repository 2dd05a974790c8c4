package app.jerboa.wire.dprotocol;

import java.util.Arrays;
import java.util.Optional;

/** What a head can be asked about; pan and tilt in hundredths of a degree, zoom 0 to 65535. */
public enum DAxis {
    PAN(0x51, 0x59),
    TILT(0x53, 0x5B),
    ZOOM(0x55, 0x5D);

    private final int query;
    private final int answer;

    DAxis(int query, int answer) {
        this.query = query;
        this.answer = answer;
    }

    int query() {
        return query;
    }

    int answer() {
        return answer;
    }

    static Optional<DAxis> ofQuery(int octet) {
        return Arrays.stream(values()).filter(a -> a.query == octet).findFirst();
    }

    static Optional<DAxis> ofAnswer(int octet) {
        return Arrays.stream(values()).filter(a -> a.answer == octet).findFirst();
    }
}
