package app.jerboa.server.job;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.cabling.JoinRules;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.Rows.JobRow;
import app.jerboa.server.job.Rows.WholeRow;
import app.jerboa.server.live.Live;
import app.jerboa.server.logbook.DevicesOfJob;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.Profiles;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Loads whole jobs: one query when the version is at hand, two else, however many devices. */
@Service
public class Jobs implements DevicesOfJob {
    /**
     * A job as stored: the core's model and what surrounds it.
     *
     * @param job with its devices where they were found
     * @param seen what was observed of it
     * @param items how many it has
     */
    public record Stored(long id, long version, long nextItem, Job job, Observed seen, int items) {
        Stored(long id, long version, long nextItem, Job job, Observed seen) {
            this(id, version, nextItem, job, seen, (int) job.items().count());
        }

        /** The number of its newest observation; it rises while the version does not. */
        public long observed() {
            return seen.last();
        }

        public Proof proof() {
            return Proof.of(job, seen);
        }

        Stored with(Observed more) {
            return new Stored(id, version, nextItem, job.with(more.found()), more, items);
        }

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
    private final JobVersions versions;
    private final ItemTexts texts;
    private final ObservationStore observations;
    private final Live live;
    private final JobEditor editor;

    Jobs(
            JobMapper mapper,
            JobVersions versions,
            ItemTexts texts,
            ObservationStore observations,
            Live live,
            Profiles profiles) {
        this.live = live;
        this.observations = observations;
        this.mapper = mapper;
        this.versions = versions;
        this.texts = texts;
        this.editor = new JobEditor(profiles, JoinRules::check);
    }

    public JobEditor editor() {
        return editor;
    }

    /** As it is now; read anew only where this server does not hold the present version. */
    public Stored load(long job) {
        JobRow row = mapper.job(job).orElseThrow(() -> Problem.notFound("job"));
        return at(row.id(), row.version(), row.observed());
    }

    /**
     * As it is now, when the version is known; a newer one where it was changed since.
     *
     * @throws Problem not found when the job is gone meanwhile
     */
    public Stored at(long job, long version, long observed) {
        return versions.at(job, version, observed).orElseGet(() -> kept(caughtUp(job, version)));
    }

    /** Only what is new is read, where this server has the rest. */
    private Stored caughtUp(long job, long version) {
        return versions.at(job, version, 0)
                .map(s -> s.with(s.seen().plus(observations.since(job, s.observed()))))
                .orElseGet(() -> read(job));
    }

    /** What is read amid a change may still be taken back, so it is not kept. */
    private Stored kept(Stored read) {
        boolean changing =
                TransactionSynchronizationManager.isActualTransactionActive()
                        && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
        return changing ? read : versions.keep(read);
    }

    /** As it was, where this server still holds it. */
    public Optional<Stored> earlier(long job, long version, long observed) {
        return versions.exactly(job, version, observed);
    }

    /** Loads and locks: other changes to this job wait until the transaction ends. */
    @Transactional
    public Stored lock(long job) {
        JobRow row = mapper.lock(job).orElseThrow(() -> Problem.notFound("job"));
        return versions.at(job, row.version(), row.observed())
                .orElseGet(() -> caughtUp(job, row.version()));
    }

    /**
     * Writes what a change touched and tells whoever looks on; within the transaction that locked
     * the job.
     *
     * @param after the job as the change makes it
     */
    @Transactional
    public Stored store(Stored before, Job after, ChangeSet changes) {
        Set<ItemRef> touched =
                Stream.concat(
                                changes.adds().stream().map(Item::ref),
                                changes.edits().stream().map(Edit::item))
                        .collect(Collectors.toSet());
        List<Item> written =
                touched.stream().flatMap(r -> after.item(r).stream()).map(JobItems::item).toList();
        if (!changes.removes().isEmpty()) {
            mapper.deleteItems(
                    before.id(), changes.removes().stream().map(i -> i.ref().id()).toList());
        }
        long next = Math.max(before.nextItem(), changes.highestAdded() + 1);
        String notice = live.ofPlan(before.id(), before.version() + 1);
        long version = mapper.store(before.id(), texts.write(written), next, notice);
        if (version != before.version() + 1) {
            throw new IllegalStateException("a locked job was changed elsewhere");
        }
        Stored now = new Stored(before.id(), version, next, after, before.seen());
        versions.keepOnceCommitted(now);
        return now;
    }

    /** Adds observations; within the transaction that locked the job. */
    @Transactional
    public Stored observe(Stored before, List<NewObservation> seen, String person) {
        long last = observations.add(before, seen, person);
        Observed all = before.seen().plus(observations.since(before.id(), before.observed()));
        if (all.last() != last) {
            throw new IllegalStateException("observations of a locked job were added elsewhere");
        }
        Stored now = before.with(all);
        versions.keepOnceCommitted(now);
        return now;
    }

    @Override
    public void insist(long job, long device) {
        load(job).need(device);
    }

    private Stored read(long job) {
        WholeRow row = mapper.whole(job).orElseThrow(() -> Problem.notFound("job"));
        Observed seen = Observed.NONE.plus(observations.since(job, 0));
        Job plan = editor.trusted(texts.read(row.items())).with(seen.found());
        return new Stored(job, row.version(), row.nextItem(), plan, seen);
    }
}
