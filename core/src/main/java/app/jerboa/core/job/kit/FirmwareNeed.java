package app.jerboa.core.job.kit;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.FirmwareFloor;
import app.jerboa.core.value.Version;
import java.util.Optional;

/**
 * A controller that needs newer firmware in a camera than was found there.
 *
 * @param least the version it needs
 */
public record FirmwareNeed(Device camera, Device controller, String least) {

    /** Of a camera by the controller that has it on a key; empty while no firmware is noted. */
    public static Optional<FirmwareNeed> of(Line line, KitIndex kit) {
        return line.key().flatMap(k -> of(kit.device(line.camera()), kit.device(k.controller())));
    }

    public static Optional<FirmwareNeed> of(Device camera, Device controller) {
        Optional<Version> found = Version.parse(camera.firmware());
        return camera.profile().firmware().stream()
                .flatMap(f -> f.floors().stream())
                .filter(f -> f.controller() == controller.profile().sort())
                .map(FirmwareFloor::least)
                .findFirst()
                .filter(least -> found.isPresent() && older(found.get(), least))
                .map(least -> new FirmwareNeed(camera, controller, least));
    }

    private static boolean older(Version found, String least) {
        return Version.parse(least).filter(l -> found.compareTo(l) < 0).isPresent();
    }
}
