package app.jerboa.core.job.bringup;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Mount;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import java.util.EnumSet;
import java.util.Set;

/** The cautions of a step, from what the device is and how it is fixed and fed. */
final class Cautions {
    private static final Set<Sort> STICKS =
            EnumSet.of(Sort.IP_STICK, Sort.SERIAL_STICK, Sort.HYBRID_STICK);

    private Cautions() {}

    static Set<Caution> of(Step.Kind kind, Device d, Cabling cabling) {
        Set<Caution> cautions = EnumSet.noneOf(Caution.class);
        if (kind.boots()) {
            powering(d, cautions);
        }
        if (kind == Step.Kind.PLUG || kind == Step.Kind.PLUG_OFF || kind == Step.Kind.REACH) {
            handling(d, cabling, cautions);
        }
        if (kind == Step.Kind.LEAD_OUT || kind == Step.Kind.LEAD_HOME) {
            cautions.add(Caution.LEAD_PULLED);
        }
        if (kind == Step.Kind.STREAM) {
            cautions.add(Caution.PRIVACY);
        }
        if (kind == Step.Kind.JOIN || kind == Step.Kind.STREAM) {
            cautions.add(Caution.PUBLIC_NETWORK);
        }
        return cautions;
    }

    private static void powering(Device d, Set<Caution> cautions) {
        if (d.profile().head().isPresent()) {
            cautions.add(Caution.HEAD_MOVES);
        }
        if (STICKS.contains(d.profile().sort())) {
            cautions.add(Caution.HANDS_OFF_STICK);
        }
    }

    private static void handling(Device d, Cabling cabling, Set<Caution> cautions) {
        if (cabling.kit().mount(d.id()).filter(Mount::overhead).isPresent()) {
            cautions.add(Caution.HEIGHT);
        }
        if (cabling.into(d.id(), Signal.DC).findAny().isPresent()) {
            cautions.add(Caution.DC_POLARITY);
        }
        if (cabling.at(d.id()).stream().map(l -> l.beyond(d.id())).anyMatch(Cautions::passive)) {
            cautions.add(Caution.PASSIVE_POWER);
        }
        if (cabling.at(d.id()).stream()
                .map(l -> l.beyond(d.id()).device().profile().sort())
                .anyMatch(s -> s == Sort.BATTERY)) {
            cautions.add(Caution.BATTERY);
        }
        if (d.profile().sort() == Sort.GIMBAL_CAMERA && d.profile().kind() == DeviceKind.CAMERA) {
            cautions.add(Caution.MOTOR_LEADS);
        }
    }

    private static boolean passive(Link.Plug plug) {
        return plug.device().profile().gives().filter(PowerSource::passive).isPresent();
    }
}
