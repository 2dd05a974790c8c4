package app.jerboa.server.job;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobEditor;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Item;
import app.jerboa.server.job.Rows.JobRow;
import app.jerboa.server.logbook.DevicesOfJob;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.Profiles;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Loads whole jobs: two queries, however many devices. */
@Service
public class Jobs implements DevicesOfJob {
    /** A job as stored: the core's model and what surrounds it. */
    public record Stored(long id, long version, long nextItem, Job job) {
        /**
         * @throws Problem not found for a device of no or another job
         */
        public Device need(long device) {
            return job.device(new DeviceId(device)).orElseThrow(() -> Problem.notFound("device"));
        }

        /** The laptop's own address in the house. */
        public LaptopAddress laptopHome() {
            Subnet home = job.subnets().get(0);
            return new LaptopAddress(home.laptopHome(), home.range().prefix());
        }
    }

    private final JobMapper mapper;
    private final ItemTexts texts;
    private final JobEditor editor;

    Jobs(JobMapper mapper, ItemTexts texts, Profiles profiles) {
        this.mapper = mapper;
        this.texts = texts;
        this.editor = new JobEditor(profiles);
    }

    public JobEditor editor() {
        return editor;
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

    @Override
    public void insist(long job, long device) {
        load(job).need(device);
    }

    private Stored stored(JobRow row) {
        List<Item> items = mapper.items(row.id()).stream().map(texts::read).toList();
        return new Stored(row.id(), row.version(), row.nextItem(), editor.trusted(items));
    }
}
