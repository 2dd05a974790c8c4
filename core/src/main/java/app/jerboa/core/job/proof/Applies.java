package app.jerboa.core.job.proof;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.control.ControlRoutes;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.profile.Optics;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Video;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Which tests a line needs; what does not apply says why, so that nothing is silently green. */
final class Applies {
    /** Which lead joins what says nothing about which tests a line needs. */
    private static final Parts READS =
            Parts.of(ItemKind.SITE, ItemKind.DEVICE, ItemKind.LINE, ItemKind.ROUTE, ItemKind.MOUNT);

    private final KitIndex kit;
    private final ControlRoutes routes;

    Applies(Job job) {
        kit = KitIndex.of(job);
        routes = ControlRoutes.of(job);
    }

    /** How many tests each line needs, by the line's id. */
    record Needed(Map<Long, Integer> tests) {
        static Needed of(Job job) {
            return job.worked(Needed.class, READS, Needed.class, () -> needed(job));
        }

        int by(Line line) {
            return tests.getOrDefault(line.id(), 0);
        }
    }

    private static Needed needed(Job job) {
        Applies applies = new Applies(job);
        Map<Long, Integer> tests = new HashMap<>();
        for (Line line : job.lines()) {
            long count = Topic.TESTS.stream().filter(t -> applies.not(line, t).isEmpty()).count();
            tests.put(line.id(), (int) count);
        }
        return new Needed(tests);
    }

    /** The reason's name when the test does not apply to the line. */
    Optional<String> not(Line line, Topic test) {
        Device camera = kit.device(line.camera());
        return switch (test) {
            case LINK, ADDRESS -> not(camera.addressed(), "no-network");
            case KEY -> not(line.key().isPresent(), "no-key");
            case MOVES, DIRECTION, STOP -> moves(line, camera);
            case ZOOM ->
                    not(routes.zooms(camera), "no-lens-motor")
                            .or(() -> unwanted(line, camera, RemoteFunction.ZOOM));
            case FOCUS ->
                    not(focuses(camera), "no-lens-motor")
                            .or(() -> unwanted(line, camera, RemoteFunction.FOCUS));
            case PRESET ->
                    not(camera.profile().presets().isPresent(), "no-presets")
                            .or(() -> moves(line, camera));
            case IRIS -> unwanted(line, camera, RemoteFunction.EXPOSURE);
            case WHITE_BALANCE -> unwanted(line, camera, RemoteFunction.PAINT);
            case TALLY -> unwanted(line, camera, RemoteFunction.TALLY);
            case INPUT -> not(line.input().isPresent(), "no-input");
            case STREAM -> not(streams(camera), "no-stream");
            default -> Optional.of("no-test");
        };
    }

    private static Optional<String> not(boolean applies, String reason) {
        return applies ? Optional.empty() : Optional.of(reason);
    }

    private Optional<String> moves(Line line, Device camera) {
        return not(camera.profile().head().isPresent(), "no-head")
                .or(() -> unwanted(line, camera, RemoteFunction.PAN_TILT));
    }

    private static Optional<String> unwanted(Line line, Device camera, RemoteFunction function) {
        return not(Wanted.of(line, camera.profile()).contains(function), "not-wanted");
    }

    private boolean focuses(Device camera) {
        Optional<Optics> own = camera.profile().optics();
        return own.isEmpty()
                || Stream.concat(
                                own.stream(),
                                kit.fitted(camera.id(), Sort.LENS).stream()
                                        .flatMap(d -> d.profile().optics().stream()))
                        .anyMatch(Optics::servoFocus);
    }

    private static boolean streams(Device camera) {
        return camera.profile().networked()
                && camera.profile()
                        .video()
                        .map(Video::streamPath)
                        .filter(p -> !p.isBlank())
                        .isPresent();
    }
}
