package app.jerboa.standin.lan;

import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.SignalFlow;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.picture.Switcher;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What comes in at the inputs of a switcher over the leads that are plugged. */
final class Inputs {
    private Inputs() {}

    private static boolean isInput(DeviceSocket s) {
        return s.join().flow() == SignalFlow.IN && s.port().use() == PortUse.PICTURE;
    }

    static Map<Integer, Switcher.Input> of(Hall hall, DeviceId switcher) {
        Map<Integer, Switcher.Input> inputs = new TreeMap<>();
        RigDevice own = hall.need(switcher);
        for (DeviceSocket s : DeviceSocket.of(own.profile())) {
            if (isInput(s)) {
                inputs.put(s.number(), new Switcher.Input("", "", false));
            }
        }
        Patch patch = hall.patch();
        String standard = hall.plan().site().habits().standard();
        for (Link link : patch.plugged().at(switcher)) {
            Link.Plug at = link.at(switcher);
            Optional<RunFault> fault = TrueFault.of(link, patch.lead(link.run().id()));
            RigDevice from = hall.need(link.beyond(switcher).device().id());
            boolean comes = fault.isEmpty() && from.phase() == RigDevice.Phase.UP;
            if (inputs.containsKey(at.socket().number()) && isInput(at.socket())) {
                String format = comes ? from.condition().dials().format() : "";
                inputs.put(
                        at.socket().number(),
                        new Switcher.Input(
                                comes ? from.name() : "", format, format.equals(standard)));
            }
        }
        return inputs;
    }
}
