package app.jerboa.server.live;

import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Tells every server process, this one too, once the present transaction has committed. */
@Service
public class Live {
    private final LiveMapper mapper;
    private final JsonMapper json;

    Live(LiveMapper mapper, JsonMapper json) {
        this.mapper = mapper;
        this.json = json;
    }

    /**
     * That the job itself has this version, in the words that the channel takes: the statement that
     * stores the version tells it as well.
     */
    public String ofPlan(long job, long version) {
        return words(new Notice(job, Notice.CHANGED, version, Notice.PLAN));
    }

    /**
     * Something beside its plan changed.
     *
     * @param part what, as {@link Notice} names it
     */
    public void changed(long job, String part) {
        tell(new Notice(job, Notice.CHANGED, 0, part));
    }

    /**
     * Everything that moves in this job is to stop.
     *
     * @param stops how often all was stopped in it, this time included
     */
    public void stopAll(long job, long stops) {
        tell(new Notice(job, Notice.STOP_ALL, stops, ""));
    }

    void present(long job) {
        tell(new Notice(job, Notice.PRESENCE, 0, ""));
    }

    private void tell(Notice notice) {
        mapper.tell(words(notice));
    }

    private String words(Notice notice) {
        return json.writeValueAsString(notice);
    }
}
