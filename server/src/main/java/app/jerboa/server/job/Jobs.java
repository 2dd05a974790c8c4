package app.jerboa.server.job;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.net.Lan;
import app.jerboa.core.net.TakenAddresses;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.Rows.DeviceRow;
import app.jerboa.server.job.Rows.JobRow;
import app.jerboa.server.job.Rows.LineRow;
import app.jerboa.server.job.Rows.RangeRow;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.Profiles;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Loads whole jobs: four queries, however many devices. */
@Service
public class Jobs {
    /** A job as stored: the core's model and what surrounds it. */
    public record Stored(long id, long version, LaptopAddress laptopHome, Job job) {
        /**
         * @throws Problem not found for a device of no or another job
         */
        public Device need(long device) {
            return job.device(new DeviceId(device)).orElseThrow(() -> Problem.notFound("device"));
        }
    }

    private final JobMapper mapper;
    private final Profiles profiles;

    Jobs(JobMapper mapper, Profiles profiles) {
        this.mapper = mapper;
        this.profiles = profiles;
    }

    @Transactional(readOnly = true)
    public Stored load(long job) {
        return stored(mapper.job(job).orElseThrow(() -> Problem.notFound("job")));
    }

    /** Loads and locks: other changes to this job wait until the transaction ends. */
    @Transactional
    public Stored lock(long job) {
        return stored(mapper.lock(job).orElseThrow(() -> Problem.notFound("job")));
    }

    private Stored stored(JobRow row) {
        List<Device> devices = mapper.devices(row.id()).stream().map(this::device).toList();
        List<Line> lines = mapper.lines(row.id()).stream().map(Jobs::line).toList();
        Job job = new Job(row.name(), lan(row), devices, lines);
        Ipv4Subnet subnet = job.lan().subnet();
        LaptopAddress home = new LaptopAddress(Ipv4.parse(row.laptopHome()), subnet.prefix());
        return new Stored(row.id(), row.version(), home, job);
    }

    private Lan lan(JobRow row) {
        List<RangeRow> ranges = mapper.ranges(row.id());
        return new Lan(
                Ipv4Subnet.parse(row.cidr()),
                Ipv4.parse(row.gateway()),
                ranges.stream().filter(r -> r.kind().equals("pool")).map(Jobs::range).toList(),
                ranges.stream().filter(r -> r.kind().equals("reserved")).map(Jobs::range).toList(),
                ranges.stream()
                        .filter(r -> r.kind().equals("taken"))
                        .map(r -> new TakenAddresses(range(r), r.holder()))
                        .toList());
    }

    private static Ipv4Range range(RangeRow row) {
        return Ipv4Range.parse(row.firstAddress(), row.lastAddress());
    }

    private Device device(DeviceRow row) {
        return new Device(
                new DeviceId(row.id()),
                row.name(),
                profiles.need(row.profile()),
                row.mac(),
                address(row.address()),
                row.prefix(),
                address(row.gateway()),
                row.reserved(),
                address(row.found()));
    }

    private static Optional<Ipv4> address(String text) {
        return text.isEmpty() ? Optional.empty() : Optional.of(Ipv4.parse(text));
    }

    private static Line line(LineRow row) {
        Optional<Line.Key> key =
                row.controllerId() == 0
                        ? Optional.empty()
                        : Optional.of(
                                new Line.Key(new DeviceId(row.controllerId()), row.keyNumber()));
        return new Line(row.number(), new DeviceId(row.cameraId()), row.controlId(), key);
    }
}
