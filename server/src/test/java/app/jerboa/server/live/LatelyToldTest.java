package app.jerboa.server.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

class LatelyToldTest {
    private long millis = 1_000_000;
    private final LatelyTold lately = new LatelyTold(() -> Duration.ofMillis(millis).toNanos());

    private void keep(long job, long version, String part) {
        lately.keep(new Notice(job, Notice.CHANGED, version, part));
    }

    @Test
    void ofEachPartTheNewestIsToldWithItsAge() {
        lately.listens();
        keep(7, 4, Notice.PLAN);
        millis += 30;
        keep(7, 5, Notice.PLAN);
        keep(8, 0, Notice.DESK);
        millis += 500;
        keep(7, 0, Notice.HALL);
        millis += 20;
        LatelyTold.Hello hello = lately.of(7);
        assertThat(hello.listened()).isEqualTo(550);
        assertThat(hello.told())
                .containsExactlyInAnyOrder(
                        new LatelyTold.Told(520, 5, Notice.PLAN),
                        new LatelyTold.Told(20, 0, Notice.HALL));
        assertThat(lately.of(9).told()).isEmpty();
    }

    @Test
    void whatIsOlderThanAMinuteIsForgottenAndSaidToBe() {
        lately.listens();
        keep(7, 4, Notice.PLAN);
        millis += 60_000;
        keep(7, 0, Notice.DESK);
        millis += 1;
        lately.forget();
        assertThat(lately.of(7))
                .isEqualTo(
                        new LatelyTold.Hello(
                                60_000, List.of(new LatelyTold.Told(1, 0, Notice.DESK))));
    }

    /** It may have missed anything: a page that asks looks at everything. */
    @Test
    void beforeItListensAndAfterACutNothingIsVouchedFor() {
        assertThat(lately.of(7).listened()).isZero();
        lately.listens();
        millis += 5_000;
        assertThat(lately.of(7).listened()).isEqualTo(5_000);
        lately.listens();
        assertThat(lately.of(7).listened()).isZero();
    }
}
