package app.jerboa.server.bringup;

import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.BringUpRow;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** The bring-up of a job that is under way, and its present step; refused where there is none. */
@Component
class OpenBringUp {
    private final BringUpMapper mapper;

    OpenBringUp(BringUpMapper mapper) {
        this.mapper = mapper;
    }

    BringUpRow need(long job) {
        return mapper.open(job)
                .orElseThrow(
                        () ->
                                new Problem(
                                        HttpStatus.CONFLICT,
                                        "not-started",
                                        Words.say("refused.no-bring-up")));
    }

    StepRow current(long job, int number) {
        BringUpRow run = need(job);
        StepRow current = mapper.current(run.id()).orElse(null);
        if (current == null || current.number() != number) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "not-this-step",
                    Words.say("refused.not-this-step", Map.of("number", number)));
        }
        return current;
    }

    static void insistOnDevice(Jobs.Stored stored, StepRow row) {
        boolean there =
                row.deviceId() == 0
                        || stored.job().device(new DeviceId(row.deviceId())).isPresent();
        if (!there) {
            throw new Problem(
                    HttpStatus.CONFLICT, "device-gone", Words.say("refused.step-without-device"));
        }
    }
}
