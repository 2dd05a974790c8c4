package app.jerboa.core.bringup;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * A device that is not at its planned address yet.
 *
 * @param start the fixed address it answers on now; empty when it takes a lease or one of its own
 * @param atHome its start lies in a subnet of the house, so the laptop need not hop to it
 * @param bootSeconds after it gets power, and after each restart
 * @param fetchedBy what can bring it into the house's subnet: {@link Work#LEASE} at the device
 *     itself, {@link Work#SEARCH}, {@link Work#PAIR}
 * @param switchedPort it is powered from a port that can be switched off and on
 * @param needs work it needs beside the usual: {@link Work#RESET}, {@link Work#UPDATE}
 * @param after devices that must be at their place before this one gets power
 * @param progress how far it is
 */
public record NewDevice(
        DeviceId id,
        Optional<FactoryAddress> start,
        boolean atHome,
        Ipv4 planned,
        int bootSeconds,
        Set<Work> fetchedBy,
        boolean switchedPort,
        Set<Work> needs,
        Set<DeviceId> after,
        Progress progress) {

    /**
     * Work that is done, and what is left of the boot it started.
     *
     * @param done may hold work that is none of this device's
     */
    public record Progress(Set<Work> done, int bootLeft) {
        public static final Progress NONE = new Progress(Set.of(), 0);

        public Progress {
            done = Set.copyOf(done);
        }
    }

    public NewDevice {
        needs = needs.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(needs));
        fetchedBy = Set.copyOf(fetchedBy);
        after = Set.copyOf(after);
    }

    /** The work by which a method brings it into the house's subnet; empty when it does not. */
    public Optional<Work> fetched(BringUpMethod method) {
        return method.fetches().filter(fetchedBy::contains);
    }

    /** Fresh from its box, as most are. */
    public static NewDevice fresh(DeviceId id, FactoryAddress start, Ipv4 planned, int boot) {
        return new NewDevice(
                id,
                Optional.of(start),
                false,
                planned,
                boot,
                Set.of(),
                false,
                Set.of(),
                Set.of(),
                Progress.NONE);
    }

    /** The same, with one that must be at its place before it. */
    public NewDevice behind(DeviceId first) {
        return new NewDevice(
                id,
                start,
                atHome,
                planned,
                bootSeconds,
                fetchedBy,
                switchedPort,
                needs,
                Set.of(first),
                progress);
    }
}
