package app.jerboa.server.logbook;

import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes into the logbook, inside the transaction of what it tells of. */
@Service
public class Logbook {
    private static final int LONGEST = 1000;

    private final LogMapper mapper;
    private final Live live;
    private final Once once;

    Logbook(LogMapper mapper, Live live, Once once) {
        this.mapper = mapper;
        this.live = live;
        this.once = once;
    }

    /**
     * @param kind change, undo or redo
     */
    public void command(long job, String kind, String text, List<Long> devices, Author by) {
        write(job, kind, text, devices, null, by);
    }

    /** Something happened: a step done, a device seen. */
    @Transactional
    public void event(long job, String text, List<Long> devices, Author by) {
        write(job, "event", text, devices, null, by);
        live.changed(job, Notice.STEPS);
    }

    /** Somebody came, went or was given another part. */
    @Transactional
    public void people(long job, String text, Author by) {
        write(job, "people", text, List.of(), null, by);
        live.changed(job, Notice.PEOPLE);
    }

    /** Something was done with the job as a whole: made, copied, exported, archived. */
    @Transactional
    public void file(long job, String text, Author by) {
        write(job, "file", text, List.of(), null, by);
        live.changed(job, Notice.LOG);
    }

    /**
     * Keeps a picture of this job; its id.
     *
     * @throws Problem when it is no picture
     */
    @Transactional
    public long photo(long job, byte[] picture) throws IOException {
        return mapper.insertPhoto(job, Photos.asJpeg(picture));
    }

    @Transactional
    void note(long job, String text, List<Long> devices, Optional<byte[]> jpeg, Author by) {
        Long photo = jpeg.map(p -> mapper.insertPhoto(job, p)).orElse(null);
        write(job, "note", text, devices, photo, by);
        live.changed(job, Notice.LOG);
    }

    /**
     * First thing in a transaction that may be asked for twice; what does not ask here is asked
     * when it writes its line.
     *
     * @throws Problem taken-already when the request under way was done before
     */
    public void claim(Author by) {
        once.claim(by.id());
    }

    private void write(
            long job, String kind, String text, List<Long> devices, Long photo, Author by) {
        once.claim(by.id());
        String bounded = text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1) + "…";
        mapper.insert(job, by.id(), by.displayName(), kind, bounded, devices, photo);
    }

    public Optional<LogEntry> newest(long job) {
        return mapper.newest(job).map(LogEntry::of);
    }

    /** What belongs into the job's file, oldest first. */
    public List<LogEntry> forFile(long job) {
        return mapper.forFile(job).stream().map(LogEntry::of).toList();
    }

    /**
     * Lines that came with a job file.
     *
     * @param entries a JSON array of at, person, kind, text, devices
     */
    public void fromFile(long job, String entries) {
        mapper.insertFromFile(job, entries);
    }
}
