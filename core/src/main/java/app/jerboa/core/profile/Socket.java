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
public record Socket(Port port, int number) {

    /** In the order of the profile. */
    public static List<Socket> of(Profile profile) {
        List<Socket> all = new ArrayList<>();
        for (Port port : profile.ports()) {
            for (int n = 1; n <= port.count(); n++) {
                all.add(new Socket(port, n));
            }
        }
        return all;
    }

    /** The one of that name, if the profile has it. */
    public static Optional<Socket> find(Profile profile, String name) {
        for (Port port : profile.ports()) {
            if (port.count() == 1 && port.name().equals(name)) {
                return Optional.of(new Socket(port, 1));
            }
            if (port.count() > 1 && name.startsWith(port.name() + " ")) {
                for (int n = 1; n <= port.count(); n++) {
                    if (name.equals(port.name() + " " + n)) {
                        return Optional.of(new Socket(port, n));
                    }
                }
            }
        }
        return Optional.empty();
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
