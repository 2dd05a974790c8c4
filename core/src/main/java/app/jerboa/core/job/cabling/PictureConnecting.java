package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.SignalFlow;
import app.jerboa.core.profile.Sort;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Each line's picture to its input, through a loose converter where sockets differ; monitors. */
final class PictureConnecting {
    private static final Set<Signal> PICTURES =
            EnumSet.of(Signal.SDI, Signal.HDMI, Signal.COMPOSITE, Signal.USB);

    private final Connecting all;
    private final List<Device> converters;

    PictureConnecting(Connecting all) {
        this.all = all;
        converters =
                all.job().devices().stream()
                        .filter(d -> d.profile().sort() == Sort.CONVERTER)
                        .toList();
    }

    void all() {
        for (Line line : all.job().lines()) {
            line.input().ifPresent(i -> input(line, i));
        }
        all.job().devices().stream()
                .filter(d -> d.profile().sort() == Sort.MONITOR)
                .forEach(this::monitor);
    }

    private void input(Line line, Line.Input input) {
        Device camera = all.kit().device(line.camera());
        Device switcher = all.kit().device(input.switcher());
        Optional<Link.Plug> into =
                all.free(switcher.id())
                        .filter(p -> pictureIn(p) && p.socket().number() == input.number())
                        .findFirst();
        if (into.isEmpty() || sends(camera)) {
            return;
        }
        if (!join(camera, into.get())) {
            through(camera, into.get());
        }
    }

    /** Its picture goes somewhere already. */
    private boolean sends(Device camera) {
        return all.cabling().at(camera.id()).stream()
                .filter(l -> PICTURES.contains(l.signal()))
                .anyMatch(l -> l.source().of(camera.id()));
    }

    private boolean join(Device from, Link.Plug into) {
        Optional<Link.Plug> out =
                outs(from).filter(p -> p.socket().signal() == into.socket().signal()).findFirst();
        out.ifPresent(p -> all.join(p, into));
        return out.isPresent();
    }

    private void through(Device camera, Link.Plug into) {
        for (Device c : converters) {
            Optional<Link.Plug> in =
                    all.free(c.id()).filter(PictureConnecting::pictureIn).findFirst();
            boolean gives = outs(c).anyMatch(p -> p.socket().signal() == into.socket().signal());
            if (in.isPresent() && gives && join(camera, in.get())) {
                join(c, into);
                return;
            }
        }
    }

    /** A monitor shows what a switcher has left to give. */
    private void monitor(Device monitor) {
        if (all.cabling().at(monitor.id()).stream().anyMatch(l -> PICTURES.contains(l.signal()))) {
            return;
        }
        for (Device d : all.job().devices()) {
            Sort sort = d.profile().sort();
            if (sort == Sort.VIDEO_SWITCHER || sort == Sort.COMPUTER_SWITCHER) {
                for (Link.Plug into :
                        all.free(monitor.id()).filter(PictureConnecting::pictureIn).toList()) {
                    if (join(d, into)) {
                        return;
                    }
                }
            }
        }
    }

    private Stream<Link.Plug> outs(Device d) {
        return all.free(d.id())
                .filter(p -> PICTURES.contains(p.socket().signal()) && !p.socket().configures())
                .filter(p -> p.socket().join().flow() == SignalFlow.OUT && carriesPicture(p))
                .filter(p -> d.profile().kind() != DeviceKind.CONTROLLER);
    }

    private static boolean pictureIn(Link.Plug p) {
        return PICTURES.contains(p.socket().signal())
                && p.socket().join().flow() == SignalFlow.IN
                && carriesPicture(p);
    }

    private static boolean carriesPicture(Link.Plug p) {
        PortUse use = p.socket().port().use();
        return use == PortUse.PICTURE || use == PortUse.CONTROL_AND_PICTURE;
    }
}
