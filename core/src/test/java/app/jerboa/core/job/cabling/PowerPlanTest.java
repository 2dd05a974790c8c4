package app.jerboa.core.job.cabling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PowerPlanTest {
    private static final Profile SWITCH =
            SomeProfiles.of("switch", "switch", Sort.POE_SWITCH)
                    .giving(2, 60)
                    .port("PORT", Join.ETHERNET, 4, PortUse.NETWORK)
                    .profile();
    private static final Profile OLD_SWITCH =
            SomeProfiles.of("old-switch", "old switch", Sort.POE_SWITCH)
                    .giving(2, 3, 60)
                    .port("PORT", Join.ETHERNET, 4, PortUse.NETWORK)
                    .profile();
    private static final Profile HEAD =
            SomeProfiles.of("head", "head", Sort.CEILING_PTZ)
                    .poeOrDc(4, 25.5)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .port("DC", Join.DC_IN, 1, PortUse.POWER)
                    .profile();
    private static final Profile DOME =
            SomeProfiles.of("dome", "dome", Sort.DOME)
                    .dc(12, 10.8, 10)
                    .port("DC", Join.DC_IN, 1, PortUse.POWER)
                    .profile();
    private static final Profile SUPPLY =
            SomeProfiles.of("supply", "supply", Sort.POWER_SUPPLY)
                    .supplying(24, 96, 0.9)
                    .port("OUT", Join.DC_OUT, 1, PortUse.POWER)
                    .profile();
    private static final Profile STEP_DOWN =
            SomeProfiles.of("step", "step", Sort.STEP_DOWN)
                    .supplying(12, 30, 0.9)
                    .dc(24, 16, 0)
                    .port("IN", Join.DC_IN, 1, PortUse.POWER)
                    .port("OUT", Join.DC_OUT, 1, PortUse.POWER)
                    .profile();

    private final JobUnderTest job =
            new JobUnderTest(SWITCH, OLD_SWITCH, HEAD, DOME, SUPPLY, STEP_DOWN);

    private PowerPlan plan() {
        Job read = job.job();
        return PowerPlan.of(Cabling.of(read));
    }

    /** 44 V by class 3, whatever the class 4 head would have from a port of its own class. */
    @Test
    void aPortOfALowerClassGivesItsOwnVolts() {
        long s = job.device("S", OLD_SWITCH);
        long head = job.device("H", HEAD);
        job.run(s, "PORT 1", head, "LAN", "data", 1);
        Feed feed = plan().to(new DeviceId(head)).orElseThrow();
        assertThat(feed.volts()).isEqualTo(44);
        assertThat(feed.deviceVolts()).isLessThan(44);
    }

    @Test
    void solvesARunOfPowerOverEthernet() {
        long s = job.device("S", SWITCH);
        long head = job.device("H", HEAD);
        job.run(s, "PORT 1", head, "LAN", "data", 100);
        Feed feed = plan().to(new DeviceId(head)).orElseThrow();
        assertThat(feed.over()).isEqualTo(PowerOver.POE);
        assertThat(feed.ohms()).isEqualTo(8.622, within(1e-9));
        assertThat(feed.most().orElseThrow().amps()).isEqualTo(0.5651, within(5e-5));
        assertThat(feed.givenWatts()).isEqualTo(28.25, within(0.01));
        assertThat(feed.deviceVolts()).isEqualTo(45.13, within(0.01));
        assertThat(feed.works()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        // Ports 1 and 2 of four give power.
        "PORT 1, LAN, true, true",
        "PORT 2, LAN, true, true",
        "PORT 3, LAN, true, false",
        "PORT 1, LAN, false, false"
    })
    void feedsFromPortsThatGiveAndRunsThatMay(String port, String socket, boolean on, boolean fed) {
        long s = job.device("S", SWITCH);
        long head = job.device("H", HEAD);
        job.run(s, port, head, socket, "data", 30, Field.POE_ON, on);
        assertThat(plan().to(new DeviceId(head)).isPresent()).isEqualTo(fed);
    }

    @Test
    void givesNothingOverFibre() {
        long s = job.device("S", SWITCH);
        long head = job.device("H", HEAD);
        job.run(s, "PORT 1", head, "LAN", "fibre", 30);
        assertThat(plan().to(new DeviceId(head))).isEmpty();
    }

    @Test
    void aLeadOfDcGoesBeforeTheNetworkPort() {
        long s = job.device("S", SWITCH);
        long head = job.device("H", HEAD);
        long supply = job.device("U", SUPPLY);
        job.run(s, "PORT 1", head, "LAN", "data", 30);
        job.run(supply, "OUT", head, "DC", "dc", 5);
        PowerPlan plan = plan();
        assertThat(plan.to(new DeviceId(head)).orElseThrow().over()).isEqualTo(PowerOver.DC);
        assertThat(plan.from(new DeviceId(s))).isEmpty();
    }

    /** 10 W behind a converter of 90 % are 11.11 W at its input: 24 V over 3.537 ohm. */
    @Test
    void passesOnWhatHangsBehindAConverter() {
        long supply = job.device("U", SUPPLY);
        long step = job.device("D", STEP_DOWN);
        long dome = job.device("L1", DOME);
        job.run(supply, "OUT", step, "IN", "data", 42, Field.CONDUCTORS, 2);
        job.run(step, "OUT", dome, "DC", "dc", 0);
        PowerPlan plan = plan();
        Feed near = plan.to(new DeviceId(step)).orElseThrow();
        assertThat(near.ohms()).isEqualTo(2 * 0.08422 * 42 / 2, within(1e-9));
        assertThat(near.watts()).isEqualTo(10 / 0.9, within(1e-9));
        double amps = (24 - Math.sqrt(24 * 24 - 4 * 3.53724 * 11.1111)) / (2 * 3.53724);
        assertThat(near.deviceVolts()).isEqualTo(24 - amps * 3.53724, within(1e-3));
        assertThat(plan.to(new DeviceId(dome)).orElseThrow().deviceVolts()).isEqualTo(12);
    }

    /** The dome as it was planned first: 12 V sink to 6.79 V over the same cable. */
    @Test
    void saysWhenARunIsTooLong() {
        Feed feed = feedOfDome(12, 42, 24, 2);
        assertThat(feed.deviceVolts()).isEqualTo(6.79, within(0.01));
        assertThat(feed.works()).isFalse();
        // Longest: (12 - 10.8) x 10.8 / 10 = 1.296 ohm, over 0.08422 ohm a metre.
        double perMetre = PowerPlan.dcOhms(1, 24, false, 2);
        assertThat(feed.longestMetres(perMetre, 0)).isEqualTo(1.296 / 0.08422, within(1e-6));
        assertThat(feedOfDome(12, feed.longestMetres(perMetre, 0), 24, 2).works()).isTrue();
    }

    private static Feed feedOfDome(double volts, double metres, int gauge, int conductors) {
        Profile supply =
                SomeProfiles.of("s", "s", Sort.POWER_SUPPLY)
                        .supplying(volts, 60, 0.9)
                        .port("OUT", Join.DC_OUT, 1, PortUse.POWER)
                        .profile();
        JobUnderTest job = new JobUnderTest(supply, DOME);
        long s = job.device("U", supply);
        long dome = job.device("L1", DOME);
        double down = Math.floor(metres * 1000) / 1000;
        job.run(
                s,
                "OUT",
                dome,
                "DC",
                "data",
                down,
                Field.GAUGE,
                gauge,
                Field.CONDUCTORS,
                conductors);
        Job read = job.job();
        return PowerPlan.of(Cabling.of(read)).to(new DeviceId(dome)).orElseThrow();
    }

    @Test
    void longerNeverGivesMoreVoltsAndThickerNeverFewer() {
        double before = Double.MAX_VALUE;
        for (double metres = 0; metres < 60; metres += 1.5) {
            double volts = feedOfDome(12, metres, 24, 2).deviceVolts();
            assertThat(volts).isLessThanOrEqualTo(before);
            assertThat(feedOfDome(12, metres, 22, 2).deviceVolts()).isGreaterThanOrEqualTo(volts);
            assertThat(feedOfDome(12, metres, 24, 4).deviceVolts()).isGreaterThanOrEqualTo(volts);
            before = volts;
        }
    }

    @Test
    void countsASwitchBothWays() {
        job.site(Field.POWER_HEADROOM, "20");
        long s = job.device("S", SWITCH);
        long one = job.device("A", HEAD);
        long two = job.device("B", HEAD);
        job.run(s, "PORT 2", one, "LAN", "data", 100);
        job.run(s, "PORT 1", two, "LAN", "data", 0);
        PowerPlan plan = plan();
        PoeBudget budget = PoeBudget.all(plan).get(0);
        double parts = plan.feeds().stream().mapToDouble(Feed::givenWatts).sum();
        assertThat(budget.movingWatts()).isEqualTo(parts, within(1e-9)).isGreaterThan(51);
        assertThat(budget.idleWatts()).isLessThan(parts);
        assertThat(budget.reservedWatts()).isEqualTo(60);
        assertThat(budget.refused()).isEmpty();
        assertThat(budget.over()).isFalse();
        assertThat(budget.tight()).isTrue();
        assertThat(budget.feeds()).extracting(f -> f.load().name()).containsExactly("B", "A");
        // The dearer run is the one to move.
        assertThat(budget.fewestToMove()).extracting(f -> f.load().name()).containsExactly("A");
    }
}
