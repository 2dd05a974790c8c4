package app.jerboa.server.bringup;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.prove.ControlNow;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.World;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Whether a camera without an address of its own answers over its control route. */
@Component
class RouteCheck {
    private final ControlNow control;
    private final Contacts contacts;

    RouteCheck(ControlNow control, Contacts contacts) {
        this.contacts = contacts;
        this.control = control;
    }

    /** Its way to the desk leads over something that can be asked from here. */
    boolean can(Jobs.Stored stored, World world, Device device) {
        DeskWay way = contacts.ways(stored).told(device);
        return way.match(
                new DeskWay.Cases<>() {
                    @Override
                    public Boolean overNetwork(DeskWay.OverNetwork it) {
                        return world.canAsk(it.at());
                    }

                    @Override
                    public Boolean overLine(DeskWay.OverLine it) {
                        return it.from().match(s -> world.canAsk(s.server()), own -> true);
                    }

                    @Override
                    public Boolean none(DeskWay.None it) {
                        return false;
                    }
                });
    }

    /** By whatever stands before it on the network. */
    StepCheck.Result check(Jobs.Stored stored, World world, Device device) {
        if (!can(stored, world, device)) {
            return StepCheck.Result.told("ask", Map.of("device", device.name()));
        }
        ControlNow.Came came = control.ask(stored, device);
        Map<String, String> facts = Map.of("device", device.name(), "words", came.words());
        return came.answered()
                ? StepCheck.Result.asked("controlled", facts).with(came.seen())
                : StepCheck.Result.notYet("uncontrolled", facts);
    }
}
