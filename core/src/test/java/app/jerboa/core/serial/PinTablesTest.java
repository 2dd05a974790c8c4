package app.jerboa.core.serial;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.serial.PinTable.Wire;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class PinTablesTest {
    private static PinTable table(String id) {
        return PinTables.ALL.stream().filter(t -> t.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void eachHasItsOwnNameAndNoPinTwice() {
        assertThat(PinTables.ALL).extracting(PinTable::id).doesNotHaveDuplicates();
        for (PinTable t : PinTables.ALL) {
            assertThat(t.wires()).as(t.id()).extracting(Wire::one).doesNotHaveDuplicates();
            assertThat(t.wires()).as(t.id()).extracting(Wire::other).doesNotHaveDuplicates();
        }
    }

    /** What one side sends the other hears, whichever way round the lead lies. */
    @Test
    void aCascadeLeadIsTheSameFromBothEnds() {
        Map<String, String> there =
                table("cascade").wires().stream().collect(Collectors.toMap(Wire::one, Wire::other));
        there.forEach((one, other) -> assertThat(there.get(other)).isEqualTo(one));
        assertThat(there).containsEntry("3", "5").containsEntry("1", "2").containsEntry("4", "4");
    }

    /** A 9-pin D of a computer: 2 hears, 3 sends; of the mini-DIN 3 sends and 5 hears. */
    @Test
    void theFirstLeadCrossesSendingAndHearing() {
        Map<String, String> pins =
                table("controller-to-camera").wires().stream()
                        .collect(Collectors.toMap(Wire::one, Wire::other));
        assertThat(pins)
                .containsExactlyInAnyOrderEntriesOf(
                        Map.of("2", "3", "3", "5", "4", "2", "5", "4", "6", "1"));
    }

    @Test
    void theTwoArrangementsSwapTheOrangeAndTheGreenPair() {
        List<String> a = table("t568a").wires().stream().map(Wire::colour).toList();
        List<String> b = table("t568b").wires().stream().map(Wire::colour).toList();
        assertThat(a).hasSize(8).doesNotHaveDuplicates().containsExactlyInAnyOrderElementsOf(b);
        for (int i = 0; i < 8; i++) {
            String swapped =
                    a.get(i).contains("green")
                            ? a.get(i).replace("green", "orange")
                            : a.get(i).replace("orange", "green");
            assertThat(b.get(i)).isEqualTo(swapped);
        }
        assertThat(b.subList(0, 2)).containsExactly("white-orange", "orange");
    }

    @Test
    void bothColoursOfAPairStandOnOnePairOfContacts() {
        Map<String, List<Wire>> pairs =
                table("t568b").wires().stream().collect(Collectors.groupingBy(Wire::signal));
        assertThat(pairs).hasSize(4);
        pairs.values()
                .forEach(
                        wires ->
                                assertThat(wires)
                                        .extracting(w -> w.colour().replace("white-", ""))
                                        .hasSize(2)
                                        .containsOnly(wires.get(0).colour().replace("white-", "")));
    }
}
