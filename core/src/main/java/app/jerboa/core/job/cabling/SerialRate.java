package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.serial.SerialTiming;
import java.util.Comparator;
import java.util.Optional;

/**
 * How often a serial line can tell its cameras something new.
 *
 * @param baud of the slowest station
 * @param whole updates a second for all together
 * @param perCamera with all of them moving at once
 */
public record SerialRate(int baud, double whole, double perCamera) {

    /** Empty for a line without cameras, or without settings. */
    public static Optional<SerialRate> of(ChainOrBus line) {
        int cameras = line.cameras().size();
        Optional<SerialSettings> slowest =
                line.stations().stream()
                        .flatMap(d -> SerialSettings.of(d).stream())
                        .min(Comparator.comparingInt(SerialSettings::baud));
        if (cameras == 0 || slowest.isEmpty()) {
            return Optional.empty();
        }
        int bits = slowest.get().bitsPerCharacter();
        boolean silent = line.cameras().stream().anyMatch(SerialRate::silent);
        double whole =
                silent
                        ? SerialTiming.silentUpdatesPerSecond(slowest.get().baud(), bits)
                        : SerialTiming.updatesPerSecond(slowest.get().baud(), bits);
        return Optional.of(new SerialRate(slowest.get().baud(), whole, whole / cameras));
    }

    private static boolean silent(Device camera) {
        return camera.profile().answers(Protocol.D_PROTOCOL).isPresent();
    }
}
