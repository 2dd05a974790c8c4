package app.jerboa.core.job;

import java.util.List;
import java.util.stream.Collectors;

/** Devices as a sentence names them. */
public final class Naming {
    private static final int MOST = 6;

    private Naming() {}

    /** "L1, L2 and 4 more". */
    public static String list(List<String> names) {
        if (names.size() <= MOST) {
            return String.join(", ", names);
        }
        return String.join(", ", names.subList(0, MOST - 1))
                + " and "
                + (names.size() - MOST + 1)
                + " more";
    }

    public static String devices(List<Device> devices) {
        return list(devices.stream().map(Device::name).collect(Collectors.toList()));
    }
}
