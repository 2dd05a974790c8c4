package app.jerboa.server.rig;

import app.jerboa.server.world.NoWorld;
import app.jerboa.server.world.World;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The rig as the world, where the settings name one. */
@Configuration
class RigConfiguration {
    @Bean
    World world(RigClient rig, RigHall hall) {
        return rig.configured() ? new RigWorld(rig, hall) : new NoWorld();
    }
}
