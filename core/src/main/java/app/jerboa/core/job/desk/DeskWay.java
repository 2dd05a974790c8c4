package app.jerboa.core.job.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import java.util.List;
import java.util.Optional;

/** The way from the desk to one head, or why there is none. */
public sealed interface DeskWay {
    <R> R match(Cases<R> cases);

    /** There is one. */
    default boolean leads() {
        return !(this instanceof None);
    }

    /** The D protocol is spoken on it. */
    default boolean onBus() {
        return this instanceof OverLine it && it.protocol() == Protocol.D_PROTOCOL;
    }

    /** One case a way. */
    interface Cases<R> {
        R overNetwork(OverNetwork it);

        R overLine(OverLine it);

        R none(None it);
    }

    /**
     * Straight to an address.
     *
     * @param at the camera, or the bridge that stands before it
     * @param port of UDP or TCP at the device
     */
    record OverNetwork(Device at, Ipv4 address, Protocol protocol, int port) implements DeskWay {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.overNetwork(this);
        }
    }

    /**
     * Over the serial lead that the camera hangs on.
     *
     * @param from what the desk's end of the lead is on
     * @param protocol VISCA or the D protocol
     * @param number the camera answers to on that lead
     * @param rate of the serial port at that end
     * @param tells it can be asked where it points
     * @param line all that hangs on the lead
     * @param moved the lead that must be taken there first; empty when it is there by the plan
     * @param others leads that come to the same socket: one at a time is there, and heads of two of
     *     them may answer to one number
     */
    record OverLine(
            DeskEnd from,
            Protocol protocol,
            int number,
            SerialSettings rate,
            boolean tells,
            ChainOrBus line,
            Optional<Link> moved,
            List<ChainOrBus> others)
            implements DeskWay {
        public OverLine {
            others = List.copyOf(others);
        }

        /** Its lead is in that socket by the plan; a port of this machine is in no plan. */
        public boolean planned() {
            return from.device().isPresent() && moved.isEmpty();
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.overLine(this);
        }
    }

    /** Why a head cannot be driven from the desk. */
    enum Why {
        NO_HEAD,
        /** Neither it nor what stands before it has a planned address. */
        NO_ADDRESS,
        /** It answers to nothing that the desk speaks. */
        NO_VOICE,
        /** It hangs on no serial lead yet. */
        NO_LEAD,
        /** No serial server has a socket for its lead, and this machine has no port for it. */
        NO_SERVER,
        /** Another one on its lead answers to the same number. */
        SAME_NUMBER,
        /** No line gives it a number. */
        NO_NUMBER
    }

    /**
     * @param who else is concerned: those with the same number
     */
    record None(Why why, List<Device> who) implements DeskWay {
        static None because(Why why) {
            return new None(why, List.of());
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.none(this);
        }
    }
}
