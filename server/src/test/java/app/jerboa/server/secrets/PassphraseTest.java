package app.jerboa.server.secrets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.server.platform.Problem;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PassphraseTest {
    private static final String WORDS = "open sesame";

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 1000})
    void opensWhatWasSealedInHoweverManyRounds(int rounds) {
        String sealed = Passphrase.seal("a secret", WORDS, rounds);
        assertThat(sealed).startsWith("pbkdf2-sha256$" + rounds + "$").doesNotContain("secret");
        assertThat(Passphrase.open(sealed, WORDS)).isEqualTo("a secret");
        assertThatThrownBy(() -> Passphrase.open(sealed, "open barley"))
                .isInstanceOf(Problem.class);
    }

    @ParameterizedTest
    @ValueSource(ints = {Integer.MIN_VALUE, -1, 0, 5_000_001, Integer.MAX_VALUE})
    void asManyRoundsAsAreNotOpenedAreNotSet(int rounds) {
        String sealed = Passphrase.seal("a secret", WORDS, 1).replace("$1$", "$" + rounds + "$");
        assertThatThrownBy(() -> Passphrase.open(sealed, WORDS)).isInstanceOf(Problem.class);
        assertThatThrownBy(() -> Passphrase.allowed(rounds))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("" + rounds);
    }
}
