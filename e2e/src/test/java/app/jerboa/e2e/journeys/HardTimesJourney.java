package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Killed servers, backups taken back: what was acknowledged is there. */
class HardTimesJourney {
    private final Programs programs = Jerboa.shared();

    /** Adds two devices with one name in one command: half of it would be one of them. */
    static String pair(String name) {
        Map<String, String> values = Map.of("name", name, "profile", "ceiling-ptz");
        return BrowserUser.changes(
                List.of(
                        Map.of("item", "device", "id", -1, "values", values),
                        Map.of("item", "device", "id", -2, "values", values)),
                List.of());
    }

    private static List<String> deviceNames(HttpUser person, long job) {
        List<String> names = new ArrayList<>();
        for (JsonNode d : person.json("/api/jobs/" + job).get("devices")) {
            names.add(d.get("name").asString());
        }
        return names;
    }

    @Test
    void killedDuringTwoHundredWrites() {
        HttpUser asha = new HttpUser(programs::url).signIn("asha");
        long job = asha.newDemoJob();
        Set<String> acknowledged = ConcurrentHashMap.newKeySet();
        AtomicInteger answered = new AtomicInteger();
        List<CompletableFuture<Void>> writes = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            String name = "Write " + i;
            writes.add(
                    asha.post("/api/jobs/" + job + "/changes", pair(name))
                            .handle(
                                    (answer, lost) -> {
                                        if (lost == null && answer.statusCode() == 200) {
                                            acknowledged.add(name);
                                        }
                                        answered.incrementAndGet();
                                        return null;
                                    }));
        }
        Awaitility.await().atMost(Duration.ofSeconds(60)).until(() -> acknowledged.size() >= 40);
        programs.killServer();
        writes.forEach(CompletableFuture::join);
        assertThat(acknowledged).hasSizeBetween(40, 199);
        programs.startServer();
        List<String> names = deviceNames(asha.signIn("asha"), job);
        assertThat(names).containsAll(acknowledged);
        Set<String> halves = new HashSet<>(names);
        halves.removeIf(
                n -> !n.startsWith("Write ") || names.stream().filter(n::equals).count() == 2);
        assertThat(halves).as("written by half").isEmpty();
    }

    @Test
    void aBackupIsTakenBack() {
        HttpUser asha = new HttpUser(programs::url).signIn("asha");
        long job = asha.newDemoJob();
        String file = Programs.scratch("taken-" + job + ".backup").toString();
        assertThat(programs.launcher("backup", file)).contains("Everything stored is in");
        asha.post("/api/jobs/" + job + "/changes", pair("After the backup")).join();
        assertThat(deviceNames(asha, job)).contains("After the backup");
        programs.killServer();
        Awaitility.await()
                .atMost(Duration.ofSeconds(20))
                .ignoreExceptions()
                .until(
                        () ->
                                programs.launcher("restore", file, "--yes")
                                        .contains("kept aside in the database"));
        programs.startServer();
        assertThat(deviceNames(asha.signIn("asha"), job))
                .contains("L1")
                .doesNotContain("After the backup");
    }
}
