package app.jerboa.server.job;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.server.live.Live;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.Author;
import app.jerboa.server.words.Words;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Jobs as wholes: made, copied, put away, thrown away and fetched back. */
@Service
public class JobLibrary {
    private static final long FIRST_VERSION = 1;

    private final JobMapper mapper;
    private final Jobs jobs;
    private final ItemTexts texts;
    private final Live live;
    private final Logbook log;

    JobLibrary(JobMapper mapper, Jobs jobs, ItemTexts texts, Live live, Logbook log) {
        this.live = live;
        this.mapper = mapper;
        this.jobs = jobs;
        this.texts = texts;
        this.log = log;
    }

    public List<JobSummaryRow> of(Author person) {
        return mapper.summaries(person.id());
    }

    /**
     * Stores a new job that belongs to its maker; its id.
     *
     * @param items of a job that holds together: the caller has read it with the editor
     */
    @Transactional
    public long make(Collection<Item> items, String how, Author by) {
        long job = mapper.insertJob();
        mapper.addMember(job, by.id(), Role.LEAD.wire());
        long next = 1 + items.stream().mapToLong(i -> i.ref().id()).max().orElse(0);
        mapper.store(job, texts.write(items), next, live.ofPlan(job, FIRST_VERSION));
        log.file(job, how, by);
        return job;
    }

    /**
     * A copy without its logbook, its people and its secrets; what was found on devices is not
     * copied.
     */
    @Transactional
    public long duplicate(long job, Author by) {
        Job original = jobs.load(job).job();
        List<Item> items =
                original.items()
                        .filter(i -> i.ref().kind() != ItemKind.SECRET)
                        .map(JobItems::item)
                        .map(
                                i ->
                                        switch (i.ref().kind()) {
                                            case SITE ->
                                                    i.with(
                                                            Field.SITE_NAME,
                                                            copyName(original.name()));
                                            default -> i;
                                        })
                        .toList();
        return make(items, Words.say("logged.copied", Map.of("job", original.name())), by);
    }

    private static String copyName(String name) {
        String suffix = " (copy)";
        int longest = (int) Field.SITE_NAME.type().most() - suffix.length();
        return name.substring(0, Math.min(longest, name.length())) + suffix;
    }

    @Transactional
    public void archive(long job, boolean archived, Author by) {
        mapper.setArchived(job, archived);
        log.file(job, Words.say(archived ? "logged.archived" : "logged.from-archive"), by);
    }

    /** Everything of it is kept, so that it can be fetched back. */
    @Transactional
    public void delete(long job, Author by) {
        mapper.setDeleted(job, true);
        log.file(job, Words.say("logged.deleted"), by);
    }

    @Transactional
    public void restore(long job, Author by) {
        mapper.setDeleted(job, false);
        log.file(job, Words.say("logged.restored"), by);
    }
}
