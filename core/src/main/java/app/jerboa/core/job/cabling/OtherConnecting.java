package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.power.DcVolts;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import java.util.List;
import java.util.Optional;

/** DC from a supply of the right volts that has enough left, multicores, pads on computers. */
final class OtherConnecting {
    private final Connecting all;

    OtherConnecting(Connecting all) {
        this.all = all;
    }

    void all() {
        all.inWorkingOrder().stream().filter(this::needsDc).forEach(this::dc);
        pairs(Sort.STUDIO_ADAPTER, Sort.BASE_STATION, Signal.MULTICORE);
        all.job().devices().stream()
                .filter(d -> d.profile().sort() == Sort.GAME_PAD)
                .forEach(this::pad);
    }

    /** Nothing else feeds it: no battery, no mains, no power over Ethernet. */
    private boolean needsDc(Device d) {
        Optional<PowerDraw> draw = d.profile().draw();
        return d.profile().kind() == DeviceKind.CAMERA
                && draw.filter(
                                x ->
                                        x.volts().isPresent()
                                                && x.poeClass().isEmpty()
                                                && !x.battery()
                                                && !x.mains())
                        .isPresent()
                && !all.has(d.id(), Signal.DC);
    }

    private void dc(Device d) {
        PowerDraw draw = d.profile().draw().orElseThrow();
        for (Device supply : all.job().devices()) {
            boolean fits =
                    supply.profile().sort() == Sort.POWER_SUPPLY
                            && DcVolts.same(
                                    supply.profile().gives().orElseThrow().volts().orElse(0),
                                    draw.volts().orElse(0))
                            && supply.profile().gives().get().outWatts().orElse(0)
                                    >= draw.mostWatts();
            Optional<Link.Plug> out =
                    all.free(supply.id()).filter(p -> p.socket().join() == Join.DC_OUT).findFirst();
            Optional<Link.Plug> in = all.firstFree(d.id(), Signal.DC);
            if (fits && out.isPresent() && in.isPresent()) {
                all.join(out.get(), in.get());
                return;
            }
        }
    }

    private void pairs(Sort one, Sort other, Signal signal) {
        List<Device> others =
                all.job().devices().stream().filter(d -> d.profile().sort() == other).toList();
        for (Device d : all.job().devices()) {
            if (d.profile().sort() == one && !all.has(d.id(), signal)) {
                Optional<Link.Plug> from = all.firstFree(d.id(), signal);
                Optional<Link.Plug> to =
                        others.stream()
                                .flatMap(o -> all.firstFree(o.id(), signal).stream())
                                .findFirst();
                if (from.isPresent() && to.isPresent()) {
                    all.join(from.get(), to.get());
                }
            }
        }
    }

    private void pad(Device pad) {
        Optional<Link.Plug> from = all.firstFree(pad.id(), Signal.USB);
        Optional<Link.Plug> to =
                all.job().devices().stream()
                        .filter(d -> d.profile().sort() == Sort.LAPTOP)
                        .flatMap(d -> all.firstFree(d.id(), Signal.USB).stream())
                        .findFirst();
        if (from.isPresent() && to.isPresent()) {
            all.join(from.get(), to.get());
        }
    }
}
