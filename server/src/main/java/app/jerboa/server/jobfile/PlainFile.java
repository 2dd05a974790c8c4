package app.jerboa.server.jobfile;

import app.jerboa.core.job.Job;
import java.util.List;

/** A job's file for another program of ours: without its logbook, and never with its secrets. */
public final class PlainFile {
    private PlainFile() {}

    /** JSON, in UTF-8. */
    public static byte[] of(Job job) {
        return JobFileWriter.write(job, List.of());
    }
}
