package app.jerboa.server.desk;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.motion.StickLaw;

/** The stick's law as the house likes it. */
final class DeskLaw {
    private DeskLaw() {}

    static StickLaw of(Job job) {
        return job.site().habits().practice(Field.PRACTICE_STICK).equals("linear")
                ? StickLaw.linear()
                : StickLaw.progressive();
    }
}
