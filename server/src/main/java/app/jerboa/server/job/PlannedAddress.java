package app.jerboa.server.job;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.Map;
import org.springframework.http.HttpStatus;

/** The address a device is to have, for work that cannot go on without one. */
public final class PlannedAddress {
    private PlannedAddress() {}

    /**
     * @throws Problem conflict when it has none
     */
    public static Ipv4 of(Device device) {
        return device.address()
                .orElseThrow(
                        () ->
                                new Problem(
                                        HttpStatus.CONFLICT,
                                        "no-planned-address",
                                        Words.say(
                                                "refused.no-planned-address",
                                                Map.of("device", device.name()))));
    }
}
