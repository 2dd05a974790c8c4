package app.jerboa.core.job;

import app.jerboa.core.item.ItemRef;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.DeviceId;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * One physical thing of a job.
 *
 * @param mac as on its label, lower case with colons; empty when not noted
 * @param serialNumber from its label; may be blank
 * @param firmware as found; may be blank
 * @param condition {@code new}, {@code rental} or {@code second-hand}
 * @param format picture format as it is set; blank while nobody looked
 * @param address planned address
 * @param prefix prefix length it is to use
 * @param gateway gateway it is to use
 * @param reserved its address is reserved for its MAC in the DHCP pool
 * @param fitted what it is fitted to, a lens to its camera
 * @param centre where its centre of mass is, seen from the tilt axis
 * @param asSet how its menus and switches are set
 * @param steering of its head from desks
 * @param found the address it last answered from when asked; no field of it but what was seen
 */
public record Device(
        DeviceId id,
        String name,
        Profile profile,
        String mac,
        String serialNumber,
        String firmware,
        String condition,
        String format,
        Optional<Ipv4> address,
        int prefix,
        Optional<Ipv4> gateway,
        boolean reserved,
        Optional<DeviceId> fitted,
        Centre centre,
        AsSet asSet,
        Steering steering,
        Optional<Ipv4> found)
        implements JobItem {

    /**
     * A centre of mass in mm from the tilt axis; each empty while nobody measured.
     *
     * @param along the slide, towards the front
     * @param alongZoomed the same when zoomed all the way, of a lens that lengthens
     * @param above upwards
     */
    public record Centre(OptionalInt along, OptionalInt alongZoomed, OptionalInt above) {}

    /**
     * Menus and switches that its leads depend on; what is empty is as it came from the factory.
     *
     * @param framing data bits, parity and stop bits, for example {@code 8N1}; may be blank
     * @param serialProtocol may be blank
     * @param terminator 120 ohm stand across its bus terminals
     * @param irOff its infrared receiver is off
     * @param viewers how many take its network picture
     * @param streamMbits bit rate of its network picture
     */
    public record AsSet(
            OptionalInt baud,
            String framing,
            String serialProtocol,
            boolean terminator,
            boolean irOff,
            OptionalInt viewers,
            OptionalInt streamMbits) {}

    @Override
    public ItemRef ref() {
        return ItemRef.of(id);
    }

    /** A job has one device of an id; going through its profile would say no more. */
    @Override
    public int hashCode() {
        return id.hashCode();
    }

    /** It has a network of its own, or somebody gave it an address all the same. */
    public boolean addressed() {
        return profile.networked() || address.isPresent();
    }

    /** It answered from the address that is planned for it. */
    public boolean set() {
        return found.isPresent() && found.equals(address);
    }

    /** The very same device when it was found there before. */
    Device foundAt(Optional<Ipv4> where) {
        return where.equals(found)
                ? this
                : new Device(
                        id,
                        name,
                        profile,
                        mac,
                        serialNumber,
                        firmware,
                        condition,
                        format,
                        address,
                        prefix,
                        gateway,
                        reserved,
                        fitted,
                        centre,
                        asSet,
                        steering,
                        where);
    }
}
