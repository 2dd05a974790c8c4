package app.jerboa.core.job.secret;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.profile.Letters;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SecretsTest {
    private static final Profile CAMERA =
            SomeProfiles.of("head", "Head", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .firstLogin()
                    .profile();

    /** As long as the device takes, of what its keys type, with no look-alike and one of each. */
    @ParameterizedTest
    @CsvSource({
        "ANY, 64, 14, [a-zA-Z2-9]+",
        "ANY, 8, 8, [a-zA-Z2-9]+",
        "LOWER_AND_DIGITS, 12, 12, [a-z2-9]+",
        "DIGITS, 64, 12, [2-9]+",
        "DIGITS, 8, 8, [2-9]+"
    })
    void madeSecretsCanBeTypedAtTheDevice(Letters letters, int longest, int length, String form) {
        Random random = new Random(1);
        for (int i = 0; i < 500; i++) {
            String made = NewSecret.of(new SecretPolicy(letters, longest), random);
            assertThat(made).hasSize(length).matches(form).doesNotContainPattern("[lIoO01]");
            assertThat(KeyPresses.oneMode(made, letters)).isTrue();
            assertThat(KeyPresses.of(made, letters)).hasSize(length);
            if (letters != Letters.DIGITS) {
                assertThat(made).containsPattern("[a-z]").containsPattern("[2-9]");
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "a7, LOWER_AND_DIGITS, 'a|7'",
        "aB7, LOWER_AND_DIGITS, 'a|mode: capitals|capital B|mode: small letters|7'",
        "1l0O, ANY, 'one|small L|zero|capital o'",
        "7a, DIGITS, '7|mode: small letters|a'",
        "a b!, ANY, 'a|space|b|exclamation mark'"
    })
    void pressesOneByOne(String text, Letters letters, String presses) {
        assertThat(String.join("|", KeyPresses.of(text, letters))).isEqualTo(presses);
    }

    @ParameterizedTest
    @CsvSource({"Admin, '', true", "letmein9, letmein9, true", "qr2z7Cuj, admin, false"})
    void whatAnybodyWouldTryFirst(String password, String user, boolean bad) {
        assertThat(DefaultPasswords.contains(password, user)).isEqualTo(bad);
    }

    @Test
    void keptAndSharedPasswordsAreFound() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        long one = job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21");
        long two = job.device("L2", CAMERA, Field.ADDRESS, "10.44.8.22");
        long three = job.device("L3", CAMERA, Field.ADDRESS, "8.8.4.4");
        assertThat(says(job.job()))
                .containsExactly("SEC-DEFAULT L1, L2, L3", "SEC-EXPOSED L3 at 8.8.4.4");
        password(job, one, "print-a", "generated");
        password(job, two, "print-a", "typed");
        assertThat(says(job.job()))
                .containsExactly("SEC-DEFAULT L3", "SEC-REUSE L1, L2", "SEC-EXPOSED L3 at 8.8.4.4");
        password(job, three, "print-b", "factory");
        assertThat(says(job.job())).contains("SEC-DEFAULT L3");
    }

    private static void password(JobUnderTest job, long device, String print, String origin) {
        job.add(
                ItemKind.SECRET,
                Field.SECRET_FOR,
                device,
                Field.SECRET_USE,
                "password",
                Field.SEALED,
                "x",
                Field.FINGERPRINT,
                print,
                Field.SECRET_ORIGIN,
                origin);
    }

    private static List<String> says(Job job) {
        return SecretCheck.of(job).stream().map(SecretsTest::says).toList();
    }

    private static String says(Finding f) {
        String who =
                f.facts().containsKey("devices")
                        ? f.facts().get("devices")
                        : f.facts().get("device") + " at " + f.facts().get("address");
        return f.code().code() + " " + who;
    }

    @Test
    void aSecretDoesNotTellItself() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        long one = job.device("L1", CAMERA);
        password(job, one, "fingerprint", "typed");
        assertThat(job.job().secrets().toString()).doesNotContain("fingerprint", "sealed");
    }
}
