package app.jerboa.core.job.cabling.seen;

import app.jerboa.core.item.Edit;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Optional;

/**
 * One device's lead, as planned and as seen.
 *
 * @param run that is planned for it; empty where none is
 * @param planned port of that run; empty where none is planned
 * @param seen the port that its MAC is heard at; empty where none hears it
 * @param told of that port
 * @param remark what is odd about it although the device is heard
 * @param follows edits that make the plan what was seen; empty where there is nothing to follow
 */
public record SeenRun(
        Device device,
        Optional<Run> run,
        Optional<Place> planned,
        Optional<Place> seen,
        PortTold told,
        Remark remark,
        Verdict verdict,
        List<Edit> follows) {
    public SeenRun {
        follows = List.copyOf(follows);
    }

    /** A port of a network switch. */
    public record Place(DeviceId networkSwitch, String port) {
        /** The name of the switch, a blank, and the port. */
        public String words(Job job) {
            String name = job.device(networkSwitch).map(Device::name).orElse("");
            return name + " " + port;
        }

        /**
         * As {@link #words} wrote it, with or without a comma and what is odd about the port.
         *
         * @param switches of a job
         * @return empty where none of them is called so, or has such a port
         */
        public static Optional<Place> read(List<Device> switches, String text) {
            int comma = text.lastIndexOf(", ");
            return named(switches, text)
                    .or(
                            () ->
                                    comma < 0
                                            ? Optional.empty()
                                            : named(switches, text.substring(0, comma)));
        }

        private static Optional<Place> named(List<Device> switches, String text) {
            return switches.stream()
                    .filter(d -> text.startsWith(d.name() + " "))
                    .flatMap(d -> port(d, text.substring(d.name().length() + 1)).stream())
                    .findFirst();
        }

        private static Optional<Place> port(Device networkSwitch, String name) {
            return DeviceSocket.find(networkSwitch.profile(), name)
                    .map(s -> new Place(networkSwitch.id(), s.name()));
        }
    }

    /** What is odd about a port. */
    public enum Remark {
        NOTHING,
        /** Its link is slower than two sound pairs would make it. */
        SLOW,
        /** It is to be fed from there, and the port gives no power. */
        UNFED,
        /** The port classes it otherwise than its profile does. */
        OTHER_CLASS
    }

    /** What the two say together. */
    public enum Verdict {
        AS_PLANNED,
        /** Heard at another port than planned. */
        ELSEWHERE,
        /** Heard, and no run is planned for it. */
        UNPLANNED,
        /** Its planned switch answered, and no port hears it. */
        NOT_HEARD,
        /** No MAC is noted for it, so that no port can be its. */
        NO_MAC
    }
}
