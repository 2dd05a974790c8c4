package app.jerboa.server.shot;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.PlannedTake;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.control.PresetNumbering;
import app.jerboa.core.job.shot.ShotPlan;
import app.jerboa.core.shot.ShotList;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Shot lists as the pages show them. Times are in seconds from the beginning of the list. */
final class ShotBodies {
    private ShotBodies() {}

    /**
     * @param seconds until the last take is over
     * @param late takes that do not fit
     */
    record ShotListBody(long id, String name, double seconds, int late, List<TakeBody> takes) {}

    /**
     * One take.
     *
     * @param number from 1
     * @param length seconds that it lasts at least
     * @param until when it leaves air
     * @param called its preset, by the controller that has the camera on a key; blank where that
     *     has no key for it, and for by hand
     * @param presetName blank for none
     * @param subject its own, or what its preset shows; blank for neither
     * @param ownSubject blank where it shows what its preset shows
     * @param unknown where its view points is not known, so its way is not
     * @param way of its camera from its take before; empty for its first
     */
    record TakeBody(
            long id,
            long list,
            int number,
            double start,
            double length,
            double until,
            long device,
            String camera,
            Optional<Integer> preset,
            String called,
            String presetName,
            String subject,
            String ownSubject,
            String cue,
            boolean unknown,
            Optional<WayBody> way) {}

    /**
     * @param before number of its take before
     * @param needed seconds of travel and settling
     * @param free seconds between the two
     * @param late seconds that are missing; empty when it is in time
     */
    record WayBody(int before, double needed, double free, Optional<Double> late) {}

    static ShotListBody of(Job job, ShotPlan plan) {
        KitIndex kit = KitIndex.of(job);
        PresetNumbering numbers = PresetNumbering.of(job);
        List<TakeBody> takes = new ArrayList<>();
        for (ShotPlan.Planned p : plan.takes()) {
            String called =
                    p.take().preset().isPresent()
                            ? numbers.called(p.take().camera(), p.take().preset().getAsInt())
                            : "";
            takes.add(take(kit.device(p.take().camera()), p, called, takes.size() + 1));
        }
        return new ShotListBody(
                plan.shots().id(),
                plan.shots().name(),
                takes.isEmpty() ? 0 : takes.get(takes.size() - 1).until(),
                (int)
                        takes.stream()
                                .flatMap(t -> t.way().stream())
                                .filter(w -> w.late().isPresent())
                                .count(),
                takes);
    }

    private static TakeBody take(Device camera, ShotPlan.Planned p, String called, int number) {
        PlannedTake t = p.take();
        return new TakeBody(
                t.id(),
                t.list(),
                number,
                t.start(),
                t.length(),
                p.until(),
                camera.id().value(),
                camera.name(),
                boxed(t.preset()),
                called,
                p.preset().map(Preset::name).orElse(""),
                t.subject().isBlank() ? p.preset().map(Preset::shows).orElse("") : t.subject(),
                t.subject(),
                t.cue(),
                p.unknown(),
                p.leg().filter(l -> l.needed() > 0).map(ShotBodies::way));
    }

    private static WayBody way(ShotList.Leg leg) {
        return new WayBody(
                leg.before() + 1,
                leg.needed(),
                leg.free(),
                leg.late() ? Optional.of(leg.missing()) : Optional.empty());
    }

    private static Optional<Integer> boxed(OptionalInt number) {
        return number.isPresent() ? Optional.of(number.getAsInt()) : Optional.empty();
    }

    /**
     * A shot list that is run.
     *
     * @param state none, running, done, cancelled or stopped
     * @param mine whoever asks began it
     * @param why of one that was stopped
     * @param list its id
     * @param at id of the take on air; empty before the first
     * @param next id of the take that is up next; empty after the last
     * @param elapsed seconds since the last cut
     * @param onAirDevice the camera of the take on air
     * @param stillOnAir it is marked so
     * @param cameras that were sent, or could not be
     */
    record ShotRunBody(
            String state,
            String person,
            boolean mine,
            String why,
            long list,
            Optional<Long> at,
            Optional<Long> next,
            double elapsed,
            Optional<Long> onAirDevice,
            boolean stillOnAir,
            List<SentCamera> cameras) {}

    /**
     * A camera that is sent to its next view.
     *
     * @param take number of the take that it is for, from 1
     * @param state waits, travels, there, elsewhere, no-time or not-sent
     * @param words one sentence
     */
    record SentCamera(long device, String camera, int take, String state, String words) {}
}
