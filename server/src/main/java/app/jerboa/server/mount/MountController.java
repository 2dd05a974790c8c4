package app.jerboa.server.mount;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Mount;
import app.jerboa.core.job.mount.Balance;
import app.jerboa.core.job.mount.HeadLoad;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Optics;
import app.jerboa.core.profile.Sort;
import app.jerboa.server.job.Jobs;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Every camera with how it is fixed, what is fitted to it, and the sums. */
@RestController
@RequestMapping("/api/jobs/{job}/mounts")
class MountController {
    /**
     * One camera.
     *
     * @param mount id of its mount, once anything is noted
     * @param texts of the mount's fields by name, empty texts while nothing is noted
     * @param parts the camera and what is fitted to it
     */
    record HeadBody(
            long line,
            String name,
            long camera,
            String profile,
            boolean gimbal,
            boolean moves,
            Optional<Long> mount,
            Map<String, String> texts,
            List<PartBody> parts,
            SumsBody sums) {}

    /**
     * The camera or a thing fitted to it.
     *
     * @param grams by its profile
     * @param along mm from the tilt axis towards the front; empty while not measured
     * @param switches to be set at a lens
     */
    record PartBody(
            long id,
            String name,
            double grams,
            String along,
            String alongZoomed,
            String above,
            boolean lengthens,
            List<String> switches) {}

    /**
     * What the rules make of it, as far as there are such figures.
     *
     * @param carriedKg of everything fitted
     * @param payloadKg rating of the head
     * @param torqueNm that the tilt motor holds
     * @param ratedNm of the tilt motor
     * @param hungKg camera and what is fitted
     * @param neededKg the fixing must hold
     * @param turns degrees each way as planned
     * @param leadAllows degrees each way
     */
    record SumsBody(
            double carriedKg,
            OptionalDouble payloadKg,
            OptionalDouble torqueNm,
            OptionalDouble ratedNm,
            double hungKg,
            Optional<Double> neededKg,
            OptionalDouble turns,
            OptionalDouble leadAllows,
            List<BalanceBody> balances) {}

    /** One state of the balance; {@code state} is along, along when zoomed, or height. */
    record BalanceBody(String state, double centreMm, double shiftMm, boolean withinTravel) {}

    private final Jobs jobs;

    MountController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping
    List<HeadBody> mounts(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        KitIndex kit = KitIndex.of(job);
        return job.lines().stream().map(l -> head(job, l, kit)).toList();
    }

    private static HeadBody head(Job job, Line line, KitIndex kit) {
        Device camera = kit.device(line.camera());
        Optional<Mount> mount = kit.mount(camera.id());
        List<PartBody> parts =
                Stream.concat(Stream.of(camera), kit.fitted(camera.id()).stream())
                        .map(MountController::part)
                        .toList();
        return new HeadBody(
                line.id(),
                job.label(line),
                camera.id().value(),
                camera.profile().name(),
                camera.profile().sort() == Sort.GIMBAL_CAMERA,
                camera.profile().head().isPresent(),
                mount.map(Mount::id),
                texts(mount),
                parts,
                sums(job, camera, mount, HeadLoad.of(camera, kit)));
    }

    private static Map<String, String> texts(Optional<Mount> mount) {
        Map<String, String> texts = new LinkedHashMap<>();
        for (Field field : ItemKind.MOUNT.fields()) {
            if (field != Field.MOUNT_CAMERA) {
                texts.put(
                        field.wire(),
                        mount.map(m -> JobItems.text(m, field)).orElse(field.initial()));
            }
        }
        return texts;
    }

    private static PartBody part(Device d) {
        return new PartBody(
                d.id().value(),
                d.name(),
                d.profile().massKg() * 1000,
                JobItems.text(d, Field.ALONG),
                JobItems.text(d, Field.ALONG_ZOOMED),
                JobItems.text(d, Field.ABOVE),
                d.profile().optics().filter(Optics::lengthens).isPresent(),
                d.profile().optics().map(Optics::switches).orElse(List.of()));
    }

    private static SumsBody sums(Job job, Device camera, Optional<Mount> mount, HeadLoad load) {
        Optional<Head> head = camera.profile().head();
        boolean overhead = mount.filter(Mount::overhead).isPresent();
        return new SumsBody(
                load.carriedKg(),
                head.map(Head::payloadKg).orElse(OptionalDouble.empty()),
                load.torqueNm(),
                head.map(Head::torqueNm).orElse(OptionalDouble.empty()),
                load.hungKg(),
                overhead
                        ? Optional.of(load.hungKg() * job.site().habits().fixingFactor())
                        : Optional.empty(),
                HeadLoad.turnsTo(camera, mount),
                HeadLoad.leadAllows(camera, mount),
                Stream.of(
                                balance("along", load.normal()),
                                balance("along, zoomed", load.zoomed()),
                                balance("height", load.upright()))
                        .flatMap(Optional::stream)
                        .toList());
    }

    private static Optional<BalanceBody> balance(String state, Optional<Balance> balance) {
        return balance.map(
                b -> new BalanceBody(state, b.centreMm(), b.shiftMm(), b.withinTravel()));
    }
}
