package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.profile.Profile;
import app.jerboa.standin.ShippedProfiles;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A menu in the picture: gone through by arrows, and what it turns is turned. */
class CameraMenuTest {
    private final Profile profile = ShippedProfiles.read("ceiling-ptz").orElseThrow();
    private final KnobBank bank = new KnobBank(profile, 1);
    private final CameraMenu menu = new CameraMenu(bank);

    @BeforeEach
    void shown() {
        bank.onVerb(menu::told);
        shows(2);
    }

    private void shows(int value) {
        bank.put(profile.knob("menu").orElseThrow(), value);
    }

    private void tell(String... verbs) {
        for (String v : verbs) {
            bank.tell(profile.verb("menu " + v).orElseThrow());
        }
    }

    private int marked() {
        List<String> lines = menu.lines();
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).startsWith("> ")) {
                return i;
            }
        }
        return -1;
    }

    @ParameterizedTest
    @CsvSource({"'', 0", "down, 1", "down down up, 1", "up, 5", "down down down down down down, 0"})
    void arrowsGoRound(String verbs, int line) {
        tell(verbs.isEmpty() ? new String[0] : verbs.split(" ", -1));
        assertThat(menu.lines()).hasSize(6);
        assertThat(marked()).isEqualTo(line);
    }

    /** Each line turns its own knob, as far as that may be turned now, and no further. */
    @Test
    void leftAndRightTurnWhatTheLineSays() {
        assertThat(menu.lines().get(0)).isEqualTo("> focus mode  auto");
        tell("right");
        assertThat(menu.lines().get(0)).isEqualTo("> focus mode  manual");
        tell("right", "right");
        assertThat(bank.value("focus mode")).hasValue(3);
        tell("left", "left", "left");
        assertThat(bank.value("focus mode")).hasValue(2);
        int before = bank.value("focus").orElseThrow();
        tell("down", "right");
        assertThat(bank.value("focus")).as("an automatic has it").hasValue(before);
    }

    @Test
    void backLeavesIt() {
        tell("down", "back");
        assertThat(menu.lines()).isEmpty();
        assertThat(bank.value("menu")).hasValue(3);
        assertThat(bank.tell(profile.verb("menu down").orElseThrow()))
                .as("it does not show")
                .isPresent();
        shows(2);
        assertThat(marked()).isZero();
    }
}
