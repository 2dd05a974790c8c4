package app.jerboa.server.view;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Mount;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.job.identity.LineNumbers;
import app.jerboa.core.job.identity.Numbers;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Made;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The lines of a job as its pages show them. One that would be the same as before is the very same
 * object: most changes touch the runs only, and few of them at a line's camera.
 */
record ShownLines(Job job, Object needs, Made<Line, Shown> made) {
    /**
     * @param leads of its camera and of what is fitted to that, device by device
     */
    private record Shown(JobView.LineBody body, List<List<Link>> leads) {
        @SuppressWarnings("ReferenceEquality") // Leads that nothing touched are the same list.
        boolean hasLeads(List<List<Link>> now) {
            boolean same = leads.size() == now.size();
            for (int i = 0; same && i < now.size(); i++) {
                same = leads.get(i) == now.get(i);
            }
            return same;
        }

        boolean says(Proof.Count count) {
            return body.proved() == count.proved() && body.toProve() == count.needed();
        }
    }

    static ShownLines of(Proof proof, Optional<ShownLines> before) {
        Job job = proof.job();
        Cabling cabling = Cabling.of(job);
        Object needs = proof.needs();
        boolean sameNeeds = before.filter(b -> b.needs == needs).isPresent();
        return new ShownLines(
                job,
                needs,
                Made.of(
                        job.lines(),
                        before.filter(b -> b.speaksOf(job)).map(ShownLines::made),
                        (line, was) -> {
                            List<List<Link>> leads = leads(cabling, line.camera());
                            boolean stands = was != null && was.hasLeads(leads);
                            if (stands
                                    && sameNeeds
                                    && was.body.proved() == 0
                                    && proof.isUnseen(line)) {
                                return was;
                            }
                            Proof.Count count = proof.count(line);
                            return stands && was.says(count)
                                    ? was
                                    : new Shown(body(cabling, line, count), leads);
                        }));
    }

    /** All that a line's row says is as it was, but for leads and for what was proved. */
    @SuppressWarnings("ReferenceEquality") // Lists that nothing touched are the same objects.
    private boolean speaksOf(Job now) {
        return now.site() == job.site()
                && now.devices() == job.devices()
                && now.lines() == job.lines()
                && now.mounts() == job.mounts();
    }

    List<JobView.LineBody> bodies() {
        return made.to().stream().map(Shown::body).toList();
    }

    private static List<List<Link>> leads(Cabling cabling, DeviceId camera) {
        List<Device> fitted = cabling.kit().fitted(camera);
        return fitted.isEmpty()
                ? List.of(cabling.at(camera))
                : Stream.concat(Stream.of(camera), fitted.stream().map(Device::id))
                        .map(cabling::at)
                        .toList();
    }

    private static JobView.LineBody body(Cabling cabling, Line l, Proof.Count count) {
        KitIndex kit = cabling.kit();
        Numbers numbers = LineNumbers.of(cabling.job()).of(l);
        return new JobView.LineBody(
                l.id(),
                l.number(),
                cabling.job().label(l),
                l.camera().value(),
                l.controlId(),
                key(l.key(), kit),
                key(l.also(), kit),
                key(l.paint(), kit),
                l.input()
                        .map(
                                i ->
                                        new JobView.PlaceBody(
                                                i.switcher().value(),
                                                kit.device(i.switcher()).name(),
                                                i.number())),
                l.tally(),
                Wanted.of(l, kit.device(l.camera()).profile()).stream()
                        .map(RemoteFunction::toString)
                        .toList(),
                l.wants().isPresent(),
                kit.mount(l.camera()).map(Mount::id),
                kit.mount(l.camera()).map(Mount::place).orElse(""),
                port(cabling, l.camera()),
                kit.device(l.camera()).profile().draw().map(PowerDraw::mostWatts).orElse(0.0),
                numbers.values().keySet().stream()
                        .filter(a -> numbers.differs(a, l.number()))
                        .map(a -> a.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                        .toList(),
                count.proved(),
                count.needed());
    }

    /** Of its own socket, or of what is fitted to it. */
    private static String port(Cabling cabling, DeviceId camera) {
        return Stream.concat(
                        Stream.of(camera), cabling.kit().fitted(camera).stream().map(Device::id))
                .flatMap(
                        d ->
                                cabling.at(d, Signal.NETWORK)
                                        .map(r -> r.beyond(d))
                                        .map(p -> p.device().name() + " " + p.socket().name()))
                .findFirst()
                .orElse("");
    }

    private static Optional<JobView.PlaceBody> key(Optional<Line.Key> key, KitIndex kit) {
        return key.map(
                k ->
                        new JobView.PlaceBody(
                                k.controller().value(),
                                kit.device(k.controller()).name(),
                                k.number()));
    }
}
