package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.e2e.harness.Programs;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Runs after all the others, kills and refusals included, and reads what they left in the logs. */
@Tag("alone")
class WhatTheLogsHoldJourney extends Jerboa {
    @Test
    void noSecretAndNoStackTrace() {
        assertThat(Programs.logs()).doesNotContain(Programs.PASSWORD, "\tat ", "Exception");
    }
}
