package app.jerboa.core.job.cabling;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.drawing.CablingDrawing;
import app.jerboa.core.job.cabling.drawing.Drawing;
import app.jerboa.core.job.cabling.drawing.Shape;
import app.jerboa.core.job.cabling.materials.Materials;
import app.jerboa.core.profile.Signal;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ConnectingTest {
    private static Job connected(JobUnderTest job) {
        ChangeSet changes = Connecting.all(job.job());
        return job.after(changes.numbered(1_000));
    }

    private static List<String> runs(Job job) {
        return Cabling.of(job).links().stream()
                .map(l -> l.from() + " > " + l.to() + " " + l.run().cable())
                .toList();
    }

    @Test
    void joinsAHallFromEndToEnd() {
        JobUnderTest job =
                new JobUnderTest(
                        CabledHall.ROUTER,
                        CabledHall.SWITCH,
                        CabledHall.MIXER,
                        CabledHall.MONITOR,
                        CabledHall.CONVERTER,
                        CabledHall.HEAD,
                        CabledHall.SMALL,
                        CabledHall.STICK,
                        CabledHall.SERIAL_HEAD,
                        CabledHall.SUPPLY);
        job.site(Field.USUAL_RUN, "12.5");
        job.device("Router", CabledHall.ROUTER);
        job.device("Switch", CabledHall.SWITCH);
        long mixer = job.device("Mixer", CabledHall.MIXER);
        job.device("Monitor", CabledHall.MONITOR);
        job.device("Converter", CabledHall.CONVERTER);
        long stick = job.device("Stick", CabledHall.STICK);
        job.device("Supply", CabledHall.SUPPLY);
        long one = job.device("L1", CabledHall.HEAD);
        long two = job.device("L2", CabledHall.SMALL);
        long three = job.device("L3", CabledHall.SERIAL_HEAD);
        long four = job.device("L4", CabledHall.SERIAL_HEAD);
        job.line(1, one, Field.SWITCHER, mixer, Field.INPUT, 4);
        job.line(2, two, Field.SWITCHER, mixer, Field.INPUT, 2);
        job.line(3, three, Field.CONTROL_ID, 2, Field.CONTROLLER, stick, Field.KEY, 1);
        job.line(4, four, Field.CONTROL_ID, 1, Field.CONTROLLER, stick, Field.KEY, 2);
        Job after = connected(job);
        assertThat(runs(after))
                .containsExactly(
                        "Switch UPLINK 1 > Router LAN 1 data",
                        "Switch PORT 1 > L1 LAN data",
                        "Switch UPLINK 2 > Mixer LAN data",
                        "L1 SDI > Mixer INPUT 4 coax-rg6",
                        "L2 HDMI > Converter HDMI IN hdmi",
                        "Converter SDI OUT > Mixer INPUT 2 coax-rg6",
                        "Mixer PGM 1 > Monitor SDI coax-rg6",
                        // In the order of control IDs, not of lines.
                        "Stick RS-232 > L4 IN serial",
                        "L4 OUT > L3 IN serial",
                        "Supply 12 V > L3 DC dc");
        // What stands in one rack, and what goes out into the hall.
        assertThat(after.runs())
                .extracting(Run::metres)
                .containsExactly(3.0, 12.5, 3.0, 12.5, 12.5, 12.5, 3.0, 12.5, 12.5, 12.5);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void whateverIsJoinedCanBeAndIsJoinedOnce(long seed) {
        JobUnderTest job = CabledHall.loose(seed);
        Job after = connected(job);
        Cabling cabling = Cabling.of(after);
        assertThat(cabling.refused()).isEmpty();
        assertThat(Connecting.all(after).isEmpty()).isTrue();
        for (Link link : cabling.links()) {
            if (link.signal() != Signal.NETWORK) {
                assertThat(link.source()).as("%s", runs(after)).isEqualTo(link.from());
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24, 25, 26, 27, 28})
    void everyRunIsDrawnOnTheSheetAndCutOrCounted(long seed) {
        Job after = connected(CabledHall.loose(seed));
        Drawing drawing = CablingDrawing.of(after, List.of());
        Set<Long> drawn =
                drawing.shapes().stream()
                        .map(Shape::run)
                        .filter(r -> r > 0)
                        .collect(Collectors.toSet());
        Set<Long> all = after.runs().stream().map(r -> r.id()).collect(Collectors.toSet());
        assertThat(drawn).isEqualTo(all);
        assertThat(drawing.shapes())
                .allMatch(s -> s.x() >= 0 && s.x() + s.w() <= drawing.width() + 1e-9)
                .allMatch(s -> s.y() >= 0 && s.y() + s.h() <= drawing.height());
        Materials materials = Materials.of(after);
        long readyMade =
                after.runs().stream()
                        .filter(r -> Set.of("serial", "hdmi").contains(r.cable().toString()))
                        .count();
        assertThat(materials.cuts()).hasSize(after.runs().size() - (int) readyMade);
        double cut = materials.cuts().stream().mapToDouble(c -> c.metres()).sum();
        double listed =
                materials.list().stream()
                        .filter(m -> m.unit().equals("m"))
                        .mapToDouble(m -> m.needed())
                        .sum();
        assertThat(Math.abs(cut - listed)).isLessThan(1e-6);
    }
}
