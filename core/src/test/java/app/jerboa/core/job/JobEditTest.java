package app.jerboa.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.net.Lan;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.Change;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.TextRejected;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JobEditTest {
    private static final DeviceId L1 = new DeviceId(1);
    private static final Profile CAMERA =
            new Profile(
                    "cam",
                    "Camera",
                    DeviceKind.CAMERA,
                    Optional.empty(),
                    60,
                    Optional.empty(),
                    Optional.empty());

    private static Job job(Optional<Ipv4> found) {
        Lan lan =
                new Lan(
                        Ipv4Subnet.parse("10.44.8.0/24"),
                        Ipv4.parse("10.44.8.254"),
                        List.of(),
                        List.of(),
                        List.of());
        Device device =
                new Device(
                        L1,
                        "L1",
                        CAMERA,
                        "",
                        Optional.of(Ipv4.parse("10.44.8.21")),
                        24,
                        Optional.empty(),
                        false,
                        found);
        return new Job("Hall", lan, List.of(device), List.of(new Line(1, L1, 1, Optional.empty())));
    }

    @ParameterizedTest
    @CsvSource({
        "ADDRESS, 10.44.8.21, 10.44.8.30",
        "ADDRESS, 10.44.8.21, ''",
        "PREFIX, 24, 16",
        "GATEWAY, '', 10.44.8.254",
        "RESERVED, false, true"
    })
    void everyChangeCanBeTakenBack(Field field, String before, String after) {
        Job start = job(Optional.empty());
        Change change = new Change(L1, field, before, after);
        Job changed = JobEdit.apply(start, List.of(change));
        assertThat(JobEdit.text(changed.devices().get(0), field)).isEqualTo(after);
        assertThat(JobEdit.apply(changed, List.of(change.inverse()))).isEqualTo(start);
    }

    @ParameterizedTest
    @CsvSource({
        "ADDRESS, 10.44.8.21, 10.44.8",
        "PREFIX, 24, 31",
        "PREFIX, 24, x",
        "GATEWAY, '', house",
        "RESERVED, false, yes"
    })
    void textThatDoesNotFitIsRefused(Field field, String before, String after) {
        assertThatThrownBy(
                        () ->
                                JobEdit.apply(
                                        job(Optional.empty()),
                                        List.of(new Change(L1, field, before, after))))
                .isInstanceOf(TextRejected.class);
    }

    @Test
    void aChangeFromAnOldValueIsAConflictThatShowsBoth() {
        Change stale = new Change(L1, Field.ADDRESS, "10.44.8.99", "10.44.8.30");
        assertThatThrownBy(() -> JobEdit.apply(job(Optional.empty()), List.of(stale)))
                .isInstanceOfSatisfying(
                        ChangeConflict.class, c -> assertThat(c.actual()).isEqualTo("10.44.8.21"));
    }

    @ParameterizedTest
    @CsvSource({"'', PLANNED", "10.44.8.21, SET", "10.44.8.30, DIFFERS"})
    void theMarkComparesPlannedWithFound(String found, Mark mark) {
        Optional<Ipv4> at = found.isEmpty() ? Optional.empty() : Optional.of(Ipv4.parse(found));
        assertThat(job(at).devices().get(0).mark()).isEqualTo(mark);
    }
}
