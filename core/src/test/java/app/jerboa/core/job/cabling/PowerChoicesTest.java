package app.jerboa.core.job.cabling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import org.junit.jupiter.api.Test;

class PowerChoicesTest {
    private static final Profile DOME =
            SomeProfiles.of("dome", "Dome", Sort.DOME)
                    .dc(12, 10.8, 10)
                    .port("DC", Join.DC_IN, 1, PortUse.POWER)
                    .profile();
    private static final Profile BATTERY =
            SomeProfiles.of("battery", "Battery", Sort.BATTERY)
                    .holding(14.4, 120, 98)
                    .port("PLATE", Join.DC_OUT, 1, PortUse.POWER)
                    .profile();
    private static final Profile STRONG =
            SomeProfiles.of("strong", "Strong", Sort.POWER_SUPPLY)
                    .supplying(24, 96, 0.9)
                    .port("OUT", Join.DC_OUT, 1, PortUse.POWER)
                    .profile();

    private static List<PowerChoices.Choice> choices(JobUnderTest job, long device) {
        Job read = job.job();
        PowerPlan plan = PowerPlan.of(Cabling.of(read));
        return PowerChoices.of(plan, plan.to(new DeviceId(device)).orElseThrow());
    }

    /** 10 W over 10 m of AWG 16 from 14.4 V; 98 Wh x 0.9 over what the battery then gives. */
    @Test
    void aBatterySaysHowLongItLasts() {
        JobUnderTest job = new JobUnderTest(DOME, BATTERY, STRONG, CabledHall.SUPPLY);
        long supply = job.device("Supply", CabledHall.SUPPLY);
        job.device("Battery", BATTERY);
        job.device("Strong", STRONG);
        long dome = job.device("L1", DOME);
        job.run(supply, "12 V", dome, "DC", "dc", 10);
        List<PowerChoices.Choice> choices = choices(job, dome);
        // 24 V would be too much for it, so that supply is not offered.
        assertThat(choices)
                .extracting(c -> c.source().map(d -> d.name()).orElse("own"))
                .containsExactly("Battery", "own");
        double ohms = 2 * 0.01317 * 10;
        double amps = (14.4 - Math.sqrt(14.4 * 14.4 - 4 * ohms * 10)) / (2 * ohms);
        assertThat(choices.get(0).volts()).isEqualTo(14.4 - amps * ohms, within(1e-9));
        assertThat(choices.get(0).hours()).isEqualTo(98 * 0.9 / (14.4 * amps), within(1e-9));
        assertThat(choices.get(0).works()).isTrue();
    }

    @Test
    void anotherSwitchSaysWhatItWouldHaveLeft() {
        JobUnderTest job = new JobUnderTest(CabledHall.SWITCH, CabledHall.HEAD);
        long one = job.device("One", CabledHall.SWITCH);
        job.device("Two", CabledHall.SWITCH);
        long head = job.device("L1", CabledHall.HEAD);
        job.run(one, "PORT 1", head, "LAN", "data", 0);
        List<PowerChoices.Choice> choices = choices(job, head);
        assertThat(choices).hasSize(2);
        // 130 W less 20 % kept free, less 25 W and what the connectors lose.
        assertThat(choices.get(0).spareWatts()).isBetween(78.8, 79.0);
        assertThat(choices.get(1).source()).isEmpty();
    }
}
