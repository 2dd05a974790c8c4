package app.jerboa.core.job.cabling;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.text.ItemRejected;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JoinRulesTest {
    private final JobUnderTest job = new JobUnderTest(CabledHall.SWITCH, CabledHall.HEAD);
    private long hall;
    private long first;
    private long second;
    private long broken;

    @BeforeEach
    void twoHeadsAndOneRunThatCannotBe() {
        hall = job.device("Switch", CabledHall.SWITCH);
        long one = job.device("L1", CabledHall.HEAD);
        long two = job.device("L2", CabledHall.HEAD);
        first = job.run(hall, "PORT 1", one, "LAN", "data", 9);
        second = job.run(hall, "PORT 2", two, "LAN", "data", 9);
        broken = job.run(hall, "PORT 9", two, "SDI", "data", 9);
    }

    private Job changed(long run, Field field, String before, String after) {
        ChangeSet changes = change(run, field, before, after);
        Job then = job.after(changes);
        JoinRules.check(then, changes);
        return then;
    }

    private static ChangeSet change(long run, Field field, String before, String after) {
        ItemRef ref = new ItemRef(ItemKind.RUN, run);
        return ChangeSet.edits(List.of(new Edit(ref, field, before, after)));
    }

    @ParameterizedTest
    @CsvSource({"PORT 2, joined.twice", "CONSOLE, joined.console", "PORT 12, joined.no-port"})
    void refusesWhatCannotBeWithItsReason(String port, String reason) {
        assertThatThrownBy(() -> changed(first, Field.FROM_PORT, "PORT 1", port))
                .isInstanceOf(ItemRejected.class)
                .hasMessageContaining(reason);
    }

    @Test
    void refusesACableThatDoesNotCarryIt() {
        assertThatThrownBy(() -> changed(second, Field.CABLE, "data", "hdmi"))
                .hasMessageContaining("joined.cable (cable hdmi, one PORT 2, other LAN)");
    }

    @Test
    void whatWasWrongBeforeStandsInNobodysWay() {
        assertThatCode(() -> changed(first, Field.FROM_PORT, "PORT 1", "PORT 5"))
                .doesNotThrowAnyException();
        assertThatCode(() -> changed(broken, Field.METRES, "9", "10")).doesNotThrowAnyException();
        assertThatThrownBy(() -> changed(broken, Field.CABLE, "data", "coax-rg6"))
                .isInstanceOf(ItemRejected.class);
    }
}
