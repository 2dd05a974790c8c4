package app.jerboa.e2e.harness;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Makes jobs to work on, past the pages. */
public abstract class JobMaker {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What the server answers, refusals too. */
    public abstract JsonNode send(String method, String path, String body);

    /** Another copy of the demo job, so that journeys do not meet; its number. */
    public long freshJob() {
        long job = send("POST", "/api/jobs/demo", "{}").get("id").asLong();
        clear(job, true);
        return job;
    }

    /** Somebody says that nothing is in the way of any head, or takes it back. */
    public void clear(long job, boolean clear) {
        List<Long> cameras = new ArrayList<>();
        send("GET", "/api/jobs/" + job + "/desk", "")
                .get("cameras")
                .forEach(c -> cameras.add(c.get("id").asLong()));
        send(
                "POST",
                "/api/jobs/" + job + "/desk/clear",
                JSON.writeValueAsString(Map.of("devices", cameras, "clear", clear)));
    }

    /** The demo job with its address put right, and four of its ceiling cameras. */
    public long soundJob() {
        long job = freshJob();
        setAddress(job, "L4", "10.44.8.33", "10.44.8.24");
        List<Long> extra = List.of(device(job, "L5"), device(job, "L6"), device(job, "L7"));
        send(
                "POST",
                "/api/jobs/" + job + "/kit/remove",
                JSON.writeValueAsString(Map.of("devices", extra)));
        return job;
    }

    /** Nothing but four ceiling cameras, so that a bring-up is short. */
    public long fourCameras() {
        return only("L[1-4]");
    }

    /** Two on the chain of the serial stick, and what the laptop reaches the chain through. */
    public long chain() {
        return only("L1[01]|Serial stick|Serial server|PoE switch|House router|Supply 12 V");
    }

    /**
     * The demo job with its address put right, and no other devices but these.
     *
     * @param names a regular expression
     */
    private long only(String names) {
        long job = soundJob();
        List<Long> others = new ArrayList<>();
        for (JsonNode d : send("GET", "/api/jobs/" + job, "").get("devices")) {
            if (!d.get("name").asString().matches(names)) {
                others.add(d.get("id").asLong());
            }
        }
        send(
                "POST",
                "/api/jobs/" + job + "/kit/remove",
                JSON.writeValueAsString(Map.of("devices", others)));
        withoutViews(job);
        return job;
    }

    /** Nobody stored or laid out anything yet. */
    private void withoutViews(long job) {
        List<Map<String, Object>> gone = new ArrayList<>();
        for (JsonNode row : send("GET", "/api/jobs/" + job + "/presets", "")) {
            row.get("presets").forEach(p -> gone.add(named("preset", p)));
        }
        for (JsonNode list : send("GET", "/api/jobs/" + job + "/shot-lists", "")) {
            list.get("takes").forEach(t -> gone.add(named("take", t)));
            gone.add(named("shot-list", list));
        }
        Map<String, Object> changes =
                Map.of("adds", List.of(), "edits", List.of(), "removes", gone);
        send("POST", "/api/jobs/" + job + "/changes", JSON.writeValueAsString(changes));
    }

    private static Map<String, Object> named(String kind, JsonNode item) {
        return Map.of("item", kind, "id", item.get("id").asLong());
    }

    /**
     * A job with one camera on the live network.
     *
     * @param profile a shipped one by its id, or one of the job's own as JSON
     * @param address of the machine's own loopback, in 127.44.8.0/24
     */
    public long liveCamera(String profile, String address) {
        String body =
                "{\"name\":\"One camera\",\"units\":\"m\",\"cidr\":\"127.44.8.0/24\","
                        + "\"gateway\":\"127.44.8.254\"}";
        long job = send("POST", "/api/jobs", body).get("id").asLong();
        String path = "/api/jobs/" + job;
        String id = profile;
        if (profile.startsWith("{")) {
            send("POST", path + "/profiles", profile);
            id = JSON.readTree(profile).get("id").asString();
        }
        send("POST", path + "/kit", "{\"profile\":\"" + id + "\",\"count\":1}");
        JsonNode camera = send("GET", path, "").get("devices").get(0);
        setAddress(job, camera.get("name").asString(), camera.get("address").asString(), address);
        send("PUT", path + "/world", "{\"world\":\"live\",\"confirmed\":true}");
        return job;
    }

    /** Plans another address, past the pages. */
    public void setAddress(long job, String name, String before, String after) {
        Map<String, Object> edit =
                Map.of(
                        "item",
                        "device",
                        "id",
                        device(job, name),
                        "field",
                        "address",
                        "before",
                        before,
                        "after",
                        after);
        send("POST", "/api/jobs/" + job + "/changes", changes(List.of(), List.of(edit)));
    }

    /** A change set as the server takes it. */
    public static String changes(List<?> adds, List<?> edits) {
        return JSON.writeValueAsString(Map.of("adds", adds, "edits", edits, "removes", List.of()));
    }

    public long device(long job, String name) {
        for (JsonNode d : send("GET", "/api/jobs/" + job, "").get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d.get("id").asLong();
            }
        }
        throw new IllegalStateException("no device " + name);
    }
}
