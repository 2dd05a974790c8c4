package app.jerboa.server.discovery;

import app.jerboa.core.job.discovery.Found;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Door;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.World;
import app.jerboa.wire.discovery.ProbeMatch;
import app.jerboa.wire.link.discovery.Prober;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * One address looked at: who has it, then a knock at the ports that many clients may use. Nobody is
 * signed in to, nothing is sent to a control port.
 */
final class Look {
    private static final int KNOCK_MILLIS = 300;
    private static final int PROBE_MILLIS = 700;

    private final World world;
    private final Jobs.Stored stored;

    Look(World world, Jobs.Stored stored) {
        this.world = world;
        this.stored = stored;
    }

    /**
     * What came of it.
     *
     * @param elsewhere the laptop is in no network that reaches the address
     */
    record Seen(Optional<Found> found, boolean elsewhere) {
        static final Seen NOBODY = new Seen(Optional.empty(), false);
        static final Seen ELSEWHERE = new Seen(Optional.empty(), true);
    }

    /**
     * @param told what it said to the probe to all, if it did
     */
    Seen at(Ipv4 address, Optional<ProbeMatch> told) {
        try {
            return world.look(stored, address).match(new At(address, told));
        } catch (Problem refused) {
            return Seen.NOBODY;
        }
    }

    private final class At implements Reach.Cases<Seen> {
        private final Ipv4 address;
        private final Optional<ProbeMatch> told;

        At(Ipv4 address, Optional<ProbeMatch> told) {
            this.address = address;
            this.told = told;
        }

        @Override
        public Seen elsewhere(Reach.Elsewhere it) {
            return Seen.ELSEWHERE;
        }

        @Override
        public Seen silent(Reach.Silent it) {
            return Seen.NOBODY;
        }

        @Override
        public Seen fighting(Reach.Fighting it) {
            return knocked(it.rivals().get(0), it.macs());
        }

        @Override
        public Seen one(Reach.One it) {
            Answering there = it.answering();
            SortedSet<String> macs = new TreeSet<>();
            if (!there.mac().isEmpty()) {
                macs.add(there.mac());
            }
            return knocked(there, macs);
        }

        /** Where the network tells no MAC, somebody is there only when a door opens. */
        private Seen knocked(Answering there, SortedSet<String> macs) {
            Set<Found.Service> services = EnumSet.noneOf(Found.Service.class);
            Optional<ProbeMatch> said = told;
            for (Door door : world.doors(stored, there)) {
                InetSocketAddress at = new InetSocketAddress(there.host(), door.port());
                switch (door.protocol()) {
                    case WEB -> open(at, Found.Service.WEB, services);
                    case RTSP -> open(at, Found.Service.RTSP, services);
                    default -> said = said.or(() -> Prober.ask(at, PROBE_MILLIS));
                }
            }
            if (said.isPresent()) {
                services.add(Found.Service.PROBE);
            }
            return macs.isEmpty() && services.isEmpty()
                    ? Seen.NOBODY
                    : new Seen(
                            Optional.of(new Found(address, macs, services, said.map(Look::self))),
                            false);
        }

        private void open(InetSocketAddress at, Found.Service service, Set<Found.Service> into) {
            try (Socket socket = new Socket()) {
                socket.connect(at, KNOCK_MILLIS);
                into.add(service);
            } catch (IOException shut) {
                // Shut, filtered or nobody there: all the same to a look.
                into.remove(service);
            }
        }
    }

    static Found.SelfPortrait self(ProbeMatch m) {
        return new Found.SelfPortrait(m.name(), m.hardware(), m.serialNumber());
    }
}
