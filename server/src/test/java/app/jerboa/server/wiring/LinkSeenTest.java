package app.jerboa.server.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.seen.PortTold;
import app.jerboa.core.job.cabling.seen.SeenRun;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.profile.TestProfiles;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the switches tell of a lead, as the test of its link. */
class LinkSeenTest {
    private static final Job PLAN = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private static final Device SWITCH =
            PLAN.devices().stream()
                    .filter(d -> d.profile().kind() == DeviceKind.NETWORK_SWITCH)
                    .findFirst()
                    .orElseThrow();

    private static Optional<SeenRun.Place> place(String port) {
        return Optional.ofNullable(port).map(p -> new SeenRun.Place(SWITCH.id(), p));
    }

    @ParameterizedTest
    @CsvSource({
        "AS_PLANNED, PORT 1, PORT 1, 1000, NOTHING, OK, '{} PORT 1', heard at {} PORT 1",
        "AS_PLANNED, PORT 1, PORT 1, 10, SLOW, DIFFERS, '{} PORT 1, 10 Mb/s', broken or swapped wire",
        "AS_PLANNED, PORT 1, PORT 1, 1000, UNFED, OK, '{} PORT 1', planned {} PORT 1",
        "ELSEWHERE, PORT 1, PORT 2, 1000, NOTHING, DIFFERS, '{} PORT 2', planned {} PORT 1",
        "ELSEWHERE, PORT 1, PORT 2, 10, SLOW, DIFFERS, '{} PORT 2', planned {} PORT 1",
        "UNPLANNED, , PORT 2, 1000, NOTHING, DIFFERS, '{} PORT 2', no lead is planned",
        "NOT_HEARD, PORT 1, , 0, NOTHING, FAILED, '', {} PORT 1 is its port",
        "NO_MAC, PORT 1, , 0, NOTHING, CANNOT_TELL, '', No MAC is noted"
    })
    void saysWhereItHangsAndWhetherTheLinkIsSound(
            SeenRun.Verdict verdict,
            String planned,
            String seen,
            long megabits,
            SeenRun.Remark remark,
            String outcome,
            String port,
            String says) {
        SeenRun run =
                new SeenRun(
                        PLAN.devices().get(0),
                        Optional.empty(),
                        place(planned),
                        place(seen),
                        new PortTold(megabits, false, OptionalInt.empty()),
                        remark,
                        verdict,
                        List.of());
        LinkSeen link = LinkSeen.of(PLAN, run);
        assertThat(link.outcome().name()).isEqualTo(outcome.toUpperCase(Locale.ROOT));
        assertThat(link.port()).isEqualTo(port.replace("{}", SWITCH.name()));
        assertThat(link.detail()).contains(says.replace("{}", SWITCH.name()));
    }
}
