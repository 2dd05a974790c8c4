package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Settings;
import java.util.List;
import org.springframework.stereotype.Component;

/** What a machine has changed and not put back yet; it outlives a killed server. */
@Component
public class PutBacks {
    public static final String HEAD = "head";

    private final ProveMapper mapper;
    private final MachineDesks desks;
    private final String server;

    PutBacks(ProveMapper mapper, MachineDesks desks, Settings settings) {
        this.desks = desks;
        this.mapper = mapper;
        this.server = settings.serverName();
    }

    /** Before it is changed; what is noted already stays as it was first. */
    public void note(long job, Device device, String what, String value, Person by) {
        mapper.note(
                job, device.id().value(), what, value, server, by.getUsername(), desks.stops(job));
    }

    public void done(long job, Device device, String what) {
        mapper.forget(job, device.id().value(), what);
    }

    List<PutBackRow> left(long job) {
        return mapper.left(job);
    }
}
