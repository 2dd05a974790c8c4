package app.jerboa.server.bringup;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.JobItems;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.Field;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.world.RigBodies;
import app.jerboa.server.world.RigClient;
import app.jerboa.server.world.World;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Does in the simulated hall what a technician would do by hand; the step is still checked
 * afterwards.
 */
@Component
class RigHands {
    private final RigClient rig;
    private final World world;

    RigHands(RigClient rig, World world) {
        this.rig = rig;
        this.world = world;
    }

    void act(Jobs.Stored stored, Step step) {
        world.furnish(stored);
        switch (step.kind()) {
            case HOP_OUT, HOP_HOME -> rig.moveLaptop(stored.id(), World.network(step.laptop()));
            case PLUG -> rig.plug(stored.id(), step.device().orElseThrow().value(), true);
            case SET ->
                    type(stored, stored.job().device(step.device().orElseThrow()).orElseThrow());
            case SEE, RESTART, VERIFY ->
                    throw new Problem(
                            HttpStatus.CONFLICT,
                            "nothing-by-hand",
                            "There is nothing to do by hand in this step: wait, then check.");
        }
    }

    private void type(Jobs.Stored stored, Device device) {
        Ipv4 factory = device.profile().factory().orElseThrow().address();
        rig.reconfigure(
                stored.id(),
                factory,
                new RigBodies.Network(
                        StepCheck.planned(device).toString(),
                        device.prefix(),
                        JobItems.text(device, Field.GATEWAY)));
    }
}
