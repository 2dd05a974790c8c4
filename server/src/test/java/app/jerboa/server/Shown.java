package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Jobs as a page shows them: read once, then followed by what each change answers. What the patches
 * lead to must be what the server would show anew.
 */
final class Shown {
    private static final Set<String> LISTS =
            Set.of("ranges", "devices", "lines", "runs", "findings");

    private final Map<String, JsonNode> jobs = new HashMap<>();

    static boolean isPatch(JsonNode answer) {
        return answer.has("from") && answer.has("lastLog");
    }

    /** The whole job after a change. */
    JsonNode follow(JsonNode patch, Function<String, JsonNode> read) {
        String path = "/api/jobs/" + patch.get("id").asLong();
        JsonNode before = jobs.get(path);
        JsonNode whole = read.apply(path);
        boolean same =
                before != null
                        && before.get("version").equals(patch.get("from"))
                        && before.get("observed").equals(patch.get("fromObserved"));
        if (same
                && whole.get("version").equals(patch.get("version"))
                && whole.get("observed").equals(patch.get("observed"))) {
            ObjectNode patched = patched(before, patch);
            // Somebody else may have written into the logbook meanwhile.
            patched.set("lastLog", whole.get("lastLog"));
            assertThat((JsonNode) patched).isEqualTo(whole);
        }
        jobs.put(path, whole);
        return whole;
    }

    void read(String path, JsonNode answer) {
        if (path.matches("/api/jobs/[0-9]+") && answer.has("version")) {
            jobs.put(path, answer);
        }
    }

    private static ObjectNode patched(JsonNode before, JsonNode patch) {
        ObjectNode job = (ObjectNode) before.deepCopy();
        patch.forEachEntry(
                (name, value) -> {
                    if (LISTS.contains(name)) {
                        job.set(name, rows(job.get(name), value));
                    } else if (!name.startsWith("from")) {
                        job.set(name, value);
                    }
                });
        job.set("subnet", job.get("subnets").get(0));
        return job;
    }

    private static ArrayNode rows(JsonNode rows, JsonNode patch) {
        Set<String> out = new HashSet<>();
        patch.get("gone").forEach(k -> out.add(k.asString()));
        patch.get("put").forEach(p -> out.add(key(p.get("row"))));
        List<JsonNode> now = new ArrayList<>(rows.valueStream().toList());
        now.removeIf(r -> out.contains(key(r)));
        patch.get("put").forEach(p -> now.add(p.get("at").asInt(), p.get("row")));
        return JsonNodeFactory.instance.arrayNode().addAll(now);
    }

    private static String key(JsonNode row) {
        return row.has("code") ? row.get("key").asString() : row.get("id").asString();
    }
}
