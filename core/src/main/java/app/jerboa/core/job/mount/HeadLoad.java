package app.jerboa.core.job.mount;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Mount;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Optics;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * What a camera's head carries, worked out from what is fitted to it and where that sits.
 *
 * @param carriedKg of everything fitted to the camera
 * @param hungKg camera and what is fitted to it
 * @param normal balance along the slide; empty while no part was measured
 * @param zoomed the same with the lens at its longest; empty for one that keeps its length
 * @param upright balance in height; shift is upwards; empty while nothing was measured
 * @param torqueNm that the tilt motor holds before the plate is moved; empty without measures
 * @param travelMm how far the plate slides each way; empty while not noted
 */
public record HeadLoad(
        double carriedKg,
        double hungKg,
        Optional<Balance> normal,
        Optional<Balance> zoomed,
        Optional<Balance> upright,
        OptionalDouble torqueNm,
        OptionalInt travelMm,
        boolean lengthens) {
    /** Standard acceleration of free fall, m/s2. */
    public static final double GRAVITY = 9.80665;

    /** What a head's motors must hold is its load twice, so that it can also move it. */
    public static final double TORQUE_FACTOR = 2;

    /** One measured part, as the drawing shows it. */
    public record Part(
            DeviceId device, String name, double grams, int along, int zoomed, int above) {}

    public static HeadLoad of(Device camera, KitIndex kit) {
        List<Device> fitted = kit.fitted(camera.id());
        double carried = fitted.stream().mapToDouble(d -> d.profile().massKg()).sum();
        List<Part> parts = parts(camera, kit);
        OptionalInt travel =
                kit.mount(camera.id()).map(Mount::plateTravelMm).orElse(OptionalInt.empty());
        int room = travel.orElse(0);
        boolean lengthens = fitted.stream().anyMatch(HeadLoad::lengthens);
        return new HeadLoad(
                carried,
                carried + camera.profile().massKg(),
                balance(parts.stream().map(p -> new Balance.Part(p.grams(), p.along())), room),
                lengthens && measuredZoomed(fitted)
                        ? balance(
                                parts.stream().map(p -> new Balance.Part(p.grams(), p.zoomed())),
                                room)
                        : Optional.empty(),
                balance(parts.stream().map(p -> new Balance.Part(p.grams(), p.above())), room),
                torque(parts),
                travel,
                lengthens);
    }

    private static boolean measuredZoomed(List<Device> fitted) {
        return fitted.stream()
                .filter(HeadLoad::lengthens)
                .allMatch(d -> d.centre().alongZoomed().isPresent());
    }

    private static boolean lengthens(Device d) {
        return d.profile().optics().filter(Optics::lengthens).isPresent();
    }

    /** Camera and fitted things whose place along the slide was measured. */
    public static List<Part> parts(Device camera, KitIndex kit) {
        List<Part> parts = new ArrayList<>();
        part(camera).ifPresent(parts::add);
        kit.fitted(camera.id()).forEach(d -> part(d).ifPresent(parts::add));
        return List.copyOf(parts);
    }

    private static Optional<Part> part(Device d) {
        if (d.centre().along().isEmpty()) {
            return Optional.empty();
        }
        int along = d.centre().along().getAsInt();
        return Optional.of(
                new Part(
                        d.id(),
                        d.name(),
                        d.profile().massKg() * 1000,
                        along,
                        d.centre().alongZoomed().orElse(along),
                        d.centre().above().orElse(0)));
    }

    private static Optional<Balance> balance(Stream<Balance.Part> parts, double travel) {
        List<Balance.Part> all = parts.toList();
        return all.isEmpty() ? Optional.empty() : Optional.of(Balance.of(all, travel));
    }

    /** At the worse end of the zoom: m g times the distance of the centre from the axis. */
    private static OptionalDouble torque(List<Part> parts) {
        if (parts.isEmpty()) {
            return OptionalDouble.empty();
        }
        double mass = parts.stream().mapToDouble(Part::grams).sum() / 1000;
        double above = moment(parts, true, false) / mass;
        double along =
                Math.max(
                        Math.abs(moment(parts, false, false)),
                        Math.abs(moment(parts, false, true)));
        return OptionalDouble.of(mass * GRAVITY * Math.hypot(along / mass, above) / 1000);
    }

    /** In kg mm. */
    private static double moment(List<Part> parts, boolean height, boolean zoomed) {
        return parts.stream()
                        .mapToDouble(
                                p ->
                                        p.grams()
                                                * (height
                                                        ? p.above()
                                                        : zoomed ? p.zoomed() : p.along()))
                        .sum()
                / 1000;
    }

    /** Degrees each way the head turns as planned; empty for what does not pan. */
    public static OptionalDouble turnsTo(Device camera, Optional<Mount> mount) {
        Optional<Head> head = camera.profile().head();
        if (head.isEmpty()) {
            return OptionalDouble.empty();
        }
        double whole = Math.max(-head.get().panLeftDegrees(), head.get().panRightDegrees());
        OptionalInt limit = mount.map(Mount::panLimit).orElse(OptionalInt.empty());
        return OptionalDouble.of(limit.isPresent() ? Math.min(whole, limit.getAsInt()) : whole);
    }

    /** Degrees each way before its lead wraps: as noted, else as the profile says. */
    public static OptionalDouble leadAllows(Device camera, Optional<Mount> mount) {
        OptionalInt noted = mount.map(Mount::leadAllows).orElse(OptionalInt.empty());
        if (noted.isPresent()) {
            return OptionalDouble.of(noted.getAsInt());
        }
        return camera.profile()
                .head()
                .map(Head::turns)
                .filter(OptionalDouble::isPresent)
                .map(t -> OptionalDouble.of(t.getAsDouble() * 360))
                .orElse(OptionalDouble.empty());
    }
}
