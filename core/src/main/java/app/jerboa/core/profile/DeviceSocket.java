package app.jerboa.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One socket of a device.
 *
 * @param port the sort of socket
 * @param number from 1
 */
public record DeviceSocket(Port port, int number) {
    private static final int MOST_DIGITS = 4;

    /** In the order of the profile. */
    public static List<DeviceSocket> of(Profile profile) {
        List<DeviceSocket> all = new ArrayList<>();
        for (Port port : profile.ports()) {
            for (int n = 1; n <= port.count(); n++) {
                all.add(new DeviceSocket(port, n));
            }
        }
        return all;
    }

    /** The one of that name, if the profile has it. */
    public static Optional<DeviceSocket> find(Profile profile, String name) {
        for (Port port : profile.ports()) {
            int number = port.count() == 1 && port.name().equals(name) ? 1 : number(port, name);
            if (number > 0) {
                return Optional.of(new DeviceSocket(port, number));
            }
        }
        return Optional.empty();
    }

    /** What stands behind the port's name and a space; 0 when that is no number of its. */
    private static int number(Port port, String name) {
        int start = port.name().length() + 1;
        int digits = name.length() - start;
        if (port.count() == 1 || digits < 1 || digits > MOST_DIGITS) {
            return 0;
        }
        if (!name.startsWith(port.name()) || name.charAt(start - 1) != ' ') {
            return 0;
        }
        int number = 0;
        for (int i = start; i < name.length(); i++) {
            char c = name.charAt(i);
            boolean leading = i == start && c == '0';
            if (c < '0' || c > '9' || leading) {
                return 0;
            }
            number = number * 10 + c - '0';
        }
        return number <= port.count() ? number : 0;
    }

    /** Its name, with its number where there are several. */
    public String name() {
        return port.count() == 1 ? port.name() : port.name() + " " + number;
    }

    public Join join() {
        return port.join();
    }

    public Signal signal() {
        return port.join().signal();
    }

    /** For set-up only. */
    public boolean configures() {
        return port.use() == PortUse.CONFIGURATION;
    }
}
