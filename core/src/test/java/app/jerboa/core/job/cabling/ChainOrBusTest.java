package app.jerboa.core.job.cabling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChainOrBusTest {
    private static final Profile DOME =
            SomeProfiles.of("dome", "Dome", Sort.DOME)
                    .serial(2400, 9600)
                    .speaking(Protocol.D_PROTOCOL, Transport.RS_485, false)
                    .port("BUS", Join.RS_485, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile DESK =
            SomeProfiles.of("desk", "Desk", Sort.KEYBOARD_CONTROLLER)
                    .serial(2400, 9600)
                    .port("BUS", Join.RS_485, 1, PortUse.CONTROL)
                    .profile();

    private final JobUnderTest job =
            new JobUnderTest(CabledHall.STICK, CabledHall.SERIAL_HEAD, DOME, DESK);

    private List<ChainOrBus> lines() {
        Job read = job.job();
        return ChainOrBus.all(Cabling.of(read));
    }

    private static List<String> names(ChainOrBus line) {
        return line.stations().stream().map(d -> d.name()).toList();
    }

    /** Whatever order the runs were drawn in, and whichever end they were drawn from. */
    @Test
    void walksFromTheDriverToTheLast() {
        long one = job.device("L1", CabledHall.SERIAL_HEAD);
        long two = job.device("L2", CabledHall.SERIAL_HEAD);
        long three = job.device("L3", CabledHall.SERIAL_HEAD);
        long stick = job.device("Stick", CabledHall.STICK);
        job.run(three, "IN", two, "OUT", "serial", 4);
        job.run(one, "OUT", two, "IN", "serial", 5);
        job.run(stick, "RS-232", one, "IN", "serial", 6);
        ChainOrBus chain = lines().get(0);
        assertThat(names(chain)).containsExactly("Stick", "L1", "L2", "L3");
        assertThat(chain.links()).extracting(l -> l.run().metres()).containsExactly(6.0, 5.0, 4.0);
        assertThat(chain.straight()).isTrue();
        assertThat(chain.metres()).isEqualTo(15);
        assertThat(chain.driver().orElseThrow().name()).isEqualTo("Stick");
        assertThat(chain.cameras()).hasSize(3);
    }

    @Test
    void aChainWithoutADriverBeginsWhereNothingComesIn() {
        long one = job.device("L1", CabledHall.SERIAL_HEAD);
        long two = job.device("L2", CabledHall.SERIAL_HEAD);
        job.run(two, "OUT", one, "IN", "serial", 5);
        assertThat(names(lines().get(0))).containsExactly("L2", "L1");
        assertThat(lines().get(0).driver()).isEmpty();
    }

    @Test
    void aRingAndAStarAreNotStraight() {
        long desk = job.device("Desk", DESK);
        long one = job.device("L1", DOME);
        long two = job.device("L2", DOME);
        job.run(desk, "BUS", one, "BUS", "pair", 5);
        job.run(one, "BUS", two, "BUS", "pair", 5);
        assertThat(lines().get(0).straight()).isTrue();
        job.run(two, "BUS", desk, "BUS", "pair", 5);
        assertThat(lines().get(0).straight()).isFalse();
        assertThat(lines()).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource({
        // No replies: 7 characters of 10 bits. Two cameras share it.
        "2400, 8N1, 34.2857",
        "9600, 8N1, 137.1429",
        // Parity makes 11 bits a character.
        "2400, 8E1, 31.1688"
    })
    void aSilentBusIsPacedByItsSevenOctets(int baud, String framing, double whole) {
        long desk = job.device("Desk", DESK, Field.BAUD, baud, Field.FRAMING, framing);
        long one = job.device("L1", DOME, Field.BAUD, baud, Field.FRAMING, framing);
        long two = job.device("L2", DOME, Field.BAUD, 9600, Field.FRAMING, framing);
        job.run(desk, "BUS", one, "BUS", "pair", 5);
        job.run(one, "BUS", two, "BUS", "pair", 5);
        SerialRate rate = SerialRate.of(lines().get(0)).orElseThrow();
        assertThat(rate.baud()).isEqualTo(baud);
        assertThat(rate.whole()).isEqualTo(whole, within(1e-4));
        assertThat(rate.perCamera()).isEqualTo(rate.whole() / 2);
    }

    @Test
    void whatNobodySetStandsAsItCame() {
        long dome = job.device("L1", DOME);
        long set = job.device("L2", DOME, Field.BAUD, 9600, Field.FRAMING, "7E1");
        Job read = job.job();
        KitIndex kit = KitIndex.of(read);
        var factory = SerialSettings.of(kit.device(new DeviceId(dome)));
        var noted = SerialSettings.of(kit.device(new DeviceId(set)));
        assertThat(factory).contains(new SerialSettings(2400, "8N1", ""));
        assertThat(noted.orElseThrow().bitsPerCharacter()).isEqualTo(10);
    }
}
