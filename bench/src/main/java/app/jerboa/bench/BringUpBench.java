package app.jerboa.bench;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** The demo's bring-up by the card's hands, in a world that runs a thousand times as fast. */
final class BringUpBench implements AutoCloseable {
    private static final int MOST_TRIES = 2_000;

    private final Programs programs = new Programs(true);
    private final HttpUser user = new HttpUser(programs::url).signIn("asha");

    /**
     * @param seconds of ours
     * @param minutes of the world's
     */
    record Times(double seconds, double minutes, int steps) {}

    Times measure() {
        long job = user.newDemoJob();
        String path = "/api/jobs/" + job;
        mend(path);
        user.post(path + "/bring-up/start", "{\"method\":\"hop\",\"workshop\":false}").join();
        programs.speed(1_000);
        Instant from = world();
        long start = System.nanoTime();
        JsonNode view = user.json(path + "/bring-up");
        int tries = 0;
        while (!view.get("finished").asBoolean() && tries++ < MOST_TRIES) {
            String step = path + "/bring-up/steps/" + view.get("current").asInt();
            if (view.get("now").get("hands").asBoolean()) {
                user.post(step + "/rig-hands", "{}").join();
            }
            user.post(step + "/check", "{}").join();
            view = user.json(path + "/bring-up");
        }
        double seconds = (System.nanoTime() - start) / 1e9;
        double minutes = Duration.between(from, world()).toSeconds() / 60.0;
        programs.speed(1);
        return new Times(
                view.get("finished").asBoolean() ? seconds : Double.NaN,
                minutes,
                view.get("steps").size());
    }

    /** L4 stands on an address that the house uses: nobody starts with that. */
    private void mend(String path) {
        for (JsonNode d : user.json(path).get("devices")) {
            if (d.get("name").asString().equals("L4")) {
                Map<String, Object> edit =
                        Map.of(
                                "item", "device",
                                "id", d.get("id").asLong(),
                                "field", "address",
                                "before", d.get("address").asString(),
                                "after", "10.44.8.24");
                String body = BrowserUser.changes(List.of(), List.of(edit));
                user.post(path + "/changes", body).join();
            }
        }
    }

    private Instant world() {
        return Instant.parse(
                BrowserUser.json(programs.rig("GET", "/clock", "")).get("worldNow").asString());
    }

    @Override
    public void close() {
        programs.close();
    }
}
