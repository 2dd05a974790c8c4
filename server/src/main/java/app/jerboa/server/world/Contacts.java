package app.jerboa.server.world;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The one device that answers at an address of the job, in whatever world, or why there is none.
 */
@Component
public class Contacts {
    private final Worlds worlds;

    Contacts(Worlds worlds) {
        this.worlds = worlds;
    }

    /**
     * @throws Problem in plain words when silence, a fight or the laptop elsewhere keeps us away
     */
    public Answering answering(Jobs.Stored stored, Device device, Ipv4 address) {
        return worlds.of(stored.id()).reach(stored, address).match(new Only(device, address));
    }

    /**
     * Whether what answers at its planned address is the device of the plan, by its MAC. Only such
     * a one is told a password: a factory address may be some other gear's.
     *
     * @throws Problem as {@link #answering}
     */
    public boolean known(Jobs.Stored stored, Device device) {
        return !device.mac().isEmpty()
                && device.address()
                        .map(a -> answering(stored, device, a).mac())
                        .filter(device.mac()::equals)
                        .isPresent();
    }

    /** The ways to the job's heads, as this machine stands now. */
    public DeskWays ways(Jobs.Stored stored) {
        return DeskWays.of(stored.job()).from(worlds.serialPort(stored.id()));
    }

    public Problem noPort(Device device, Ipv4 address) {
        return cannot(
                Words.say("drive.no-port", Map.of("device", device.name(), "address", address)));
    }

    public static Problem cannot(String sentence) {
        return new Problem(HttpStatus.CONFLICT, "cannot-reach", sentence);
    }

    /** The one that answers, or why there is none. */
    private record Only(Device device, Ipv4 address) implements Reach.Cases<Answering> {
        @Override
        public Answering elsewhere(Reach.Elsewhere it) {
            throw cannot(
                    Words.say(
                            "drive.elsewhere",
                            Map.of("device", device.name(), "address", address)));
        }

        @Override
        public Answering silent(Reach.Silent it) {
            throw cannot(
                    Words.say("drive.silent", Map.of("device", device.name(), "address", address)));
        }

        @Override
        public Answering fighting(Reach.Fighting it) {
            throw cannot(
                    Words.say(
                            "drive.fighting",
                            Map.of("all", it.all(), "device", device.name(), "address", address)));
        }

        @Override
        public Answering one(Reach.One it) {
            return it.answering();
        }
    }
}
