package app.jerboa.server.live;

import app.jerboa.server.platform.Author;
import java.util.List;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Who has which job open; a tab that is silent for a while is gone. */
@Component
class Presence {
    static final int SILENT_SECONDS = 30;

    private final LiveMapper mapper;
    private final Live live;

    Presence(LiveMapper mapper, Live live) {
        this.mapper = mapper;
        this.live = live;
    }

    List<PresentBody> of(long job) {
        return mapper.present(job, SILENT_SECONDS);
    }

    @Transactional
    void here(long job, String tab, String page, Author person) {
        if (mapper.stillHere(job, tab, person.id(), page, SILENT_SECONDS) == 0) {
            mapper.here(job, tab, person.id(), person.displayName(), page);
            live.present(job);
        }
    }

    @Transactional
    void gone(long job, String tab, Author person) {
        if (mapper.gone(job, tab, person.id()) > 0) {
            live.present(job);
        }
    }

    @Scheduled(fixedDelay = 10_000)
    @Transactional
    public void forgetSilent() {
        mapper.forgetSilent(SILENT_SECONDS).forEach(live::present);
    }
}
