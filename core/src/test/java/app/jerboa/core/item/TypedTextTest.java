package app.jerboa.core.item;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.value.Lengths;
import app.jerboa.core.value.TextRejected;
import app.jerboa.core.value.Version;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lengths, MACs and versions as people type them. */
class TypedTextTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "30       | m  | 30",
                "30       | ft | 9.144",
                "80ft     | m  | 24.384",
                "80 FT    | m  | 24.384",
                "24.5 m   | ft | 24.5",
                "24,5m    | m  | 24.5",
                "6' 3\"  | m  | 1.905",
                "6'3\"   | m  | 1.905",
                "10in     | m  | 0.254",
                "250 cm   | ft | 2.5",
                "1500mm   | m  | 1.5",
                "0        | m  | 0",
                "100      | m  | 100",
            })
    void aLengthIsMetres(String typed, String units, String metres) {
        assertThat(Lengths.parse(typed, units)).isEqualTo(metres);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "long", "12 miles", "-3", "3 m 4", "6 m 3\"", "1e3", "NaN", "1.2.3"})
    void whatIsNoLengthIsRefused(String typed) {
        assertThatThrownBy(() -> Lengths.parse(typed, "m")).isInstanceOf(TextRejected.class);
    }

    @Test
    void feetAndBackIsWithinHalfAMillimetreAndStoredTextStays() {
        Random random = new Random(4);
        for (int i = 0; i < 500; i++) {
            double feet = random.nextInt(100_000) / 100.0;
            double metres = Double.parseDouble(Lengths.parse(feet + "ft", "m"));
            assertThat(metres).isCloseTo(feet * 0.3048, within(0.000_51));
            String stored = Lengths.text(metres);
            assertThat(Lengths.parse(stored, "m")).as("%s ft", feet).isEqualTo(stored);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "02-4A-20-00-00-01, 02:4a:20:00:00:01",
        "' 024a.2000.0001 ', 02:4a:20:00:00:01",
        "024A20000001, 02:4a:20:00:00:01",
        "02:4a:20:00:00, 02:4a:20:00:00",
        "on the other side, on the other side",
    })
    void aMacIsSixPairsWhereItCanBe(String typed, String tidy) {
        assertThat(Tidy.tidy(Field.MAC.type(), typed, "m")).isEqualTo(tidy);
    }

    @ParameterizedTest
    @CsvSource({
        "USUAL_RUN, 80ft, 24.384",
        "USUAL_RUN, far, far",
        "NAME, ' L1 ', L1",
        "REASON, ' as it is ', ' as it is '",
        "VLAN, ' 20', 20",
    })
    void aTextIsTidiedAsItsFieldNeeds(Field field, String typed, String tidy) {
        assertThat(Tidy.tidy(field.type(), typed, "m")).isEqualTo(tidy);
    }

    @ParameterizedTest
    @CsvSource({
        "2.4, 2.4, 0",
        "2.4, 2.4.0, 0",
        "v2.10, 2.9, 1",
        "2, 2.0.1, -1",
        "10, 9.9.9, 1",
    })
    void versionsCountPartByPart(String one, String other, int order) {
        Version a = Version.parse(one).orElseThrow();
        Version b = Version.parse(other).orElseThrow();
        assertThat(Integer.signum(a.compareTo(b))).isEqualTo(order);
        assertThat(a.equals(b)).isEqualTo(order == 0);
        assertThat(order != 0 || a.hashCode() == b.hashCode()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "two", "2.", ".4", "2.4b", "1.2.3.4.5.6.7", "99999999"})
    void otherTextsAreNoVersion(String text) {
        assertThat(Version.parse(text)).isEmpty();
    }
}
