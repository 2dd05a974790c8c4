package app.jerboa.server.job;

import app.jerboa.server.job.Rows.DeviceRow;
import app.jerboa.server.job.Rows.JobRow;
import app.jerboa.server.job.Rows.LineRow;
import app.jerboa.server.job.Rows.RangeRow;
import app.jerboa.server.people.Person;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The demo scenario: an invented ice hall with four ceiling cameras on a counting stick. One fault
 * is left in: L4 was typed by hand onto an address that a score computer has.
 */
@Service
public class DemoJob {
    private static final String HOUSE = "10.44.8.";
    private static final String GATEWAY = HOUSE + "254";
    private static final int PREFIX = 24;
    private static final List<String> CAMERA_ADDRESSES = List.of("21", "22", "23", "33");

    private final JobMapper mapper;

    DemoJob(JobMapper mapper) {
        this.mapper = mapper;
    }

    /** A fresh copy that belongs to this person; its id. */
    @Transactional
    public long create(Person owner) {
        long job =
                mapper.insertJob(
                        new JobRow(
                                0,
                                "Quillhaven Curling Hall",
                                0,
                                HOUSE + "0/24",
                                GATEWAY,
                                HOUSE + "81"));
        mapper.addMember(job, owner.id(), "lead");
        range(job, "pool", "100", "199", "");
        range(job, "taken", "30", "34", "score computers");
        range(job, "taken", "200", "200", "till");
        range(job, "taken", "1", "1", "wireless bridge");
        List<Long> cameras = new ArrayList<>();
        for (int i = 0; i < CAMERA_ADDRESSES.size(); i++) {
            String mac = "02:4a:20:00:00:0" + (i + 1);
            cameras.add(device(job, i, "L" + (i + 1), "ceiling-ptz", mac, CAMERA_ADDRESSES.get(i)));
        }
        long stick = device(job, 10, "IP stick", "ip-stick-8-counting", "02:4a:11:00:00:01", "11");
        device(job, 20, "PoE switch", "poe-switch-16", "02:4a:02:00:00:01", "2");
        device(job, 21, "House router", "house-router", "", "254");
        for (int i = 0; i < cameras.size(); i++) {
            mapper.insertLine(job, new LineRow(i + 1, cameras.get(i), i + 1, stick, i + 1));
        }
        mapper.insertCommand(
                job,
                owner.id(),
                owner.displayName(),
                "event",
                "Job made from the demo",
                "[]",
                "event");
        return job;
    }

    private void range(long job, String kind, String first, String last, String holder) {
        mapper.insertRange(job, new RangeRow(kind, HOUSE + first, HOUSE + last, holder));
    }

    private long device(
            long job, int position, String name, String profile, String mac, String host) {
        String gateway = host.equals("254") ? "" : GATEWAY;
        return mapper.insertDevice(
                job,
                position,
                new DeviceRow(0, name, profile, mac, HOUSE + host, PREFIX, gateway, false, ""));
    }

    boolean anyFor(Person person) {
        return !mapper.summaries(person.id()).isEmpty();
    }
}
