package app.jerboa.server.jobfile;

import app.jerboa.server.job.JobLibrary;
import app.jerboa.server.platform.Author;
import app.jerboa.server.profile.Profiles;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Worlds;
import java.io.IOException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/**
 * The demo scenario, read like any job file: an invented ice hall with its whole kit. Left in on
 * purpose: L4 was typed by hand onto an address that a score computer has, L6 is set to another
 * format, two serial cameras share an ID, the pictures of L5 and L6 are crossed at the switcher,
 * the PoE switch cannot feed every head at once, and the dome's 12 V run is too long for the data
 * cable it shares.
 */
@Component
class DemoJob {
    private final JobFile file;
    private final JobLibrary library;
    private final Worlds worlds;

    /**
     * @throws FileRejected when the shipped file is no job file: nothing starts then
     */
    DemoJob(JobLibrary library, Profiles profiles, Worlds worlds) throws IOException {
        byte[] text = new ClassPathResource("demo/demo.jerboa.json").getContentAsByteArray();
        this.file = JobFileReader.read(text, profiles);
        this.library = library;
        this.worlds = worlds;
    }

    /** A new job of its own for a person; its id. */
    long make(Author person) {
        long job = library.make(file.items(), Words.say("logged.from-demo"), person);
        worlds.startInRig(job);
        return job;
    }
}
