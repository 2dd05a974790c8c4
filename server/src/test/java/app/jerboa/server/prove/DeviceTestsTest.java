package app.jerboa.server.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.knobs.PageVisit;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.world.Contacts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What comes of opening the settings page of a device once. */
class DeviceTestsTest {
    private static final Job PLAN = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private static final Jobs.Stored STORED = new Jobs.Stored(1, 1, 100, PLAN, Observed.NONE, 10);
    private static final Device CAMERA = PLAN.device(PLAN.lines().get(0).camera()).orElseThrow();

    private final Contacts contacts = mock();
    private final PageVisit page = mock();
    private final DeviceTests tests = new DeviceTests(mock(), contacts, page);

    @ParameterizedTest
    @CsvSource({
        "IN, OK, opened once",
        "NOT_LET_IN, DIFFERS, does not take the password",
        "OTHER_CERTIFICATE, DIFFERS, no password was told to it",
        "NO_PASSWORD, CANNOT_TELL, none is kept",
        "NO_PAGE, CANNOT_TELL, not with a page",
        "SILENT, FAILED, does not answer"
    })
    void aVisitSaysWhetherItLetsUsIn(PageVisit.Came came, Outcome outcome, String says) {
        when(contacts.known(any(), any())).thenReturn(true);
        when(page.visit(any(), any())).thenReturn(came);
        Verdict verdict = tests.access(STORED, CAMERA);
        assertThat(verdict.outcome()).isEqualTo(outcome);
        assertThat(verdict.detail()).contains(says);
    }

    /** Whoever answers there may be another device, which must not get to know the password. */
    @Test
    void whatIsNotKnownByItsMacIsNotVisited() {
        when(contacts.known(any(), any())).thenReturn(false);
        Verdict verdict = tests.access(STORED, CAMERA);
        assertThat(verdict.outcome()).isEqualTo(Outcome.CANNOT_TELL);
        assertThat(verdict.detail()).contains("no password was sent to it");
        verifyNoInteractions(page);
    }
}
