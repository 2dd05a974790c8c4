package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A database that restarts under load: who asks meanwhile is told so, and it goes on by itself. */
@Tag("alone")
class DatabaseRestartJourney {
    private final Programs programs = Jerboa.shared();

    @Test
    void theDatabaseRestartsUnderLoad() {
        HttpUser asha = new HttpUser(programs::url).signIn("asha");
        long job = asha.newDemoJob();
        AtomicBoolean going = new AtomicBoolean(true);
        List<HttpResponse<String>> refused = new ArrayList<>();
        CompletableFuture<Void> load =
                CompletableFuture.runAsync(
                        () -> {
                            while (going.get()) {
                                HttpResponse<String> answer = asha.get("/api/jobs/" + job).join();
                                if (answer.statusCode() != 200) {
                                    refused.add(answer);
                                }
                            }
                        });
        programs.launcher("restart-testdb");
        Awaitility.await()
                .atMost(Duration.ofSeconds(30))
                .until(() -> asha.get("/api/jobs/" + job).join().statusCode() == 200);
        going.set(false);
        load.join();
        for (HttpResponse<String> answer : refused) {
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(503);
            assertThat(answer.body()).contains("database-unavailable").doesNotContain("Exception");
        }
        Awaitility.await()
                .atMost(Duration.ofSeconds(30))
                .until(
                        () ->
                                asha.post(
                                                        "/api/jobs/" + job + "/changes",
                                                        HardTimesJourney.pair("After it"))
                                                .join()
                                                .statusCode()
                                        == 200);
    }
}
