package app.jerboa.core.job.cabling.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.cabling.CabledHall;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.seen.SwitchSeen.SeenPort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Three heads on one switch, and a second switch behind its uplink. */
class SeenWiringTest {
    private final JobUnderTest job = new JobUnderTest(CabledHall.SWITCH, CabledHall.HEAD);
    private long first;
    private long second;

    @BeforeEach
    void cabled() {
        first = job.device("First", CabledHall.SWITCH);
        second = job.device("Second", CabledHall.SWITCH);
        head("a", "02:00:00:00:00:0a", "PORT 1");
        head("b", "02:00:00:00:00:0b", "PORT 2");
        head("none", "", "PORT 3");
        job.device("loose", CabledHall.HEAD, Field.MAC, "02:00:00:00:00:0c");
    }

    private void head(String name, String mac, String port) {
        long id = job.device(name, CabledHall.HEAD, Field.MAC, mac);
        job.run(first, port, id, "LAN", "data", 10);
    }

    /** Ports as {@code 1=0a}, several addresses with +, a neighbour with a star. */
    private static SwitchSeen seen(long id, String ports) {
        List<SeenPort> all = new ArrayList<>();
        for (String p : ports == null ? new String[0] : ports.split(" ", -1)) {
            String[] parts = p.split("=", -1);
            List<String> macs =
                    Arrays.stream(parts[1].replace("*", "").split("\\+", -1))
                            .map(m -> "02:00:00:00:00:" + m)
                            .toList();
            all.add(
                    new SeenPort(
                            "PORT " + parts[0], true, macs, p.endsWith("*"), PortTold.NOTHING));
        }
        return new SwitchSeen(new DeviceId(id), all);
    }

    private SeenWiring wiring(Job of, SwitchSeen... seen) {
        return SeenWiring.of(Cabling.of(of), List.of(seen));
    }

    private static String words(SeenWiring w) {
        return w.runs().stream()
                .map(r -> r.device().name() + ":" + r.verdict())
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource({
        "1=0a 2=0b, a:AS_PLANNED b:AS_PLANNED none:NO_MAC",
        "1=0b 2=0a, a:ELSEWHERE b:ELSEWHERE none:NO_MAC",
        "1=0a 5=0b, a:AS_PLANNED b:ELSEWHERE none:NO_MAC",
        "1=0a, a:AS_PLANNED b:NOT_HEARD none:NO_MAC",
        "1=0a 2=0b+0d, a:AS_PLANNED b:NOT_HEARD none:NO_MAC",
        "1=0a 2=0b*, a:AS_PLANNED b:NOT_HEARD none:NO_MAC",
        "1=0a 2=0b 4=0c, a:AS_PLANNED b:AS_PLANNED none:NO_MAC loose:UNPLANNED",
        ", a:NOT_HEARD b:NOT_HEARD none:NO_MAC"
    })
    void eachDeviceIsWhereItIsHeard(String ports, String verdicts) {
        assertThat(words(wiring(job.job(), seen(first, ports)))).isEqualTo(verdicts);
    }

    @Test
    void aSwitchThatSaidNothingSaysNothingOfItsDevices() {
        assertThat(wiring(job.job()).runs()).isEmpty();
        assertThat(words(wiring(job.job(), seen(second, "7=0b")))).isEqualTo("b:ELSEWHERE");
    }

    @Test
    void whoIsNotOfTheJobIsNamedWithItsPort() {
        SeenWiring w = wiring(job.job(), seen(first, "1=0a 6=ee"));
        assertThat(w.unknown())
                .containsExactly(
                        Map.entry(
                                "02:00:00:00:00:ee",
                                new SeenRun.Place(new DeviceId(first), "PORT 6")));
    }

    /** Followed, the plan is what was seen: two changed over at once, one to another switch. */
    @ParameterizedTest
    @CsvSource({"1=0b 2=0a, ''", "1=0a, 7=0b"})
    void aPlanThatFollowsIsAsPlanned(String ports, String others) {
        SwitchSeen one = seen(first, ports);
        SwitchSeen other = seen(second, others.isEmpty() ? null : others);
        SeenWiring before = wiring(job.job(), one, other);
        Job after =
                job.after(
                        new ChangeSet(
                                List.of(),
                                before.runs().stream().flatMap(r -> r.follows().stream()).toList(),
                                List.of()));
        assertThat(wiring(after, one, other).runs())
                .filteredOn(r -> r.seen().isPresent())
                .hasSize(2)
                .allMatch(r -> r.verdict() == SeenRun.Verdict.AS_PLANNED);
    }

    /** The head is to be fed by that port, as class 4. */
    @ParameterizedTest
    @CsvSource({
        "1000, true, 4, NOTHING",
        "100, true, 4, NOTHING",
        "0, true, 4, NOTHING",
        "10, true, 4, SLOW",
        "1000, false, , UNFED",
        "1000, true, 2, OTHER_CLASS",
        "1000, true, , NOTHING"
    })
    void aPortThatTellsSomethingOddIsRemarked(
            long megabits, boolean powers, Integer powerClass, SeenRun.Remark remark) {
        PortTold told =
                new PortTold(
                        megabits,
                        powers,
                        powerClass == null ? OptionalInt.empty() : OptionalInt.of(powerClass));
        SeenPort port = new SeenPort("PORT 1", true, List.of("02:00:00:00:00:0a"), false, told);
        SwitchSeen seen = new SwitchSeen(new DeviceId(first), List.of(port));
        SeenRun run = wiring(job.job(), seen).runs().get(0);
        assertThat(run.told()).isEqualTo(told);
        assertThat(run.remark()).isEqualTo(remark);
    }
}
