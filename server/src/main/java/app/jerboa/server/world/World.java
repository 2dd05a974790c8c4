package app.jerboa.server.world;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import java.util.List;
import java.util.Optional;

/** A network with devices in it, as it is reached from the technician's laptop. */
public interface World {
    WorldChoice which();

    /** This server offers it. */
    boolean there();

    WorldTime time();

    /** The laptop's addresses as they really are; none where it cannot be told. */
    Optional<Laptop> laptop(Jobs.Stored stored);

    Standpoint standpoint(Jobs.Stored stored);

    /** This device can be asked here; of any other only a person can tell. */
    boolean canAsk(Device device);

    /** What an address would answer from where the laptop is. */
    Reach reach(Jobs.Stored stored, Ipv4 address);

    /**
     * What an address of the job's subnets would answer, for a look at the network: also one where
     * nothing is planned.
     */
    Reach look(Jobs.Stored stored, Ipv4 address);

    /** What is knocked at where somebody answers: pages, pictures and probes, never a control. */
    List<Door> doors(Jobs.Stored stored, Answering answering);

    /**
     * Probes all that hear the group on each interface that reaches the job; takes as long as it
     * listens.
     */
    List<Heard> askAll(Jobs.Stored stored);

    /** The address a device has now, wherever that is; none where it cannot be told. */
    Optional<Ipv4> addressNow(Jobs.Stored stored, Device device);
}
