package app.jerboa.server.desk;

import app.jerboa.server.words.Words;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * A camera goes from one driver to another: who wants it asks, who has it may keep it within some
 * seconds, a lead need not wait. It all stands in the lease, so that both may be at other servers.
 */
@Component
class TakeOver {
    static final int PATIENCE_SECONDS = 10;

    private final DeskMapper mapper;

    TakeOver(DeskMapper mapper) {
        this.mapper = mapper;
    }

    /** How a wish stands. */
    enum Stands {
        /** Nobody drives it any more. */
        FREE,
        WAITING,
        /** Its driver keeps it, or somebody else was before. */
        KEPT
    }

    /**
     * @param atOnce whoever asks leads the job
     * @return false when it is free already, or somebody else asks just now
     */
    boolean ask(CameraId camera, Desk desk, boolean atOnce) {
        int waited = atOnce ? PATIENCE_SECONDS : 0;
        String by = desk.person.displayName();
        return mapper.ask(camera, by, desk.id, waited, PATIENCE_SECONDS) == 1;
    }

    void keep(CameraLink camera) {
        mapper.keep(camera.id(), camera.holder());
    }

    Stands stands(CameraId camera, Desk desk) {
        Optional<DeskMapper.Asking> asking = mapper.asksFor(camera, desk.id);
        if (asking.isEmpty()) {
            return Stands.FREE;
        }
        return asking.get().asking() ? Stands.WAITING : Stands.KEPT;
    }

    /** Its driver is told, each second, and loses it when the time is over. */
    static void asked(Desk desk, CameraLink camera, String by, int secondsLeft) {
        if (secondsLeft > 0) {
            desk.screen.tell(new DeskMessages.Asked(camera.device(), by, secondsLeft));
        } else {
            desk.driving.giveBack(Words.say("given-back.taken-over", Map.of("person", by)));
        }
    }
}
