package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every writing route of the contract with every value of its body turned into nonsense, one after
 * the other: it may be taken or refused, but never fails.
 */
class ContractFuzzTest extends RunningServer {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    /** What is put in the place of a value. */
    private static final Map<String, JsonNode> NONSENSE =
            Map.ofEntries(
                    Map.entry("null", NODES.nullNode()),
                    Map.entry("list of null", NODES.arrayNode().addNull()),
                    Map.entry("empty object", NODES.objectNode()),
                    Map.entry("text", NODES.stringNode("x")),
                    Map.entry("NUL", NODES.stringNode("a\u0000b")),
                    Map.entry("half a pair", NODES.stringNode("a\ud800b")),
                    Map.entry("turned", NODES.stringNode("a\u202eb")),
                    Map.entry("long", NODES.stringNode("y".repeat(70_000))),
                    Map.entry("large", NODES.numberNode(Long.MAX_VALUE)),
                    Map.entry("least", NODES.numberNode(Long.MIN_VALUE)),
                    Map.entry("1e20", NODES.numberNode(1e20)),
                    Map.entry("1e308", NODES.numberNode(1e308)),
                    Map.entry("fraction", NODES.numberNode(0.5)),
                    Map.entry("flag", NODES.booleanNode(true)),
                    Map.entry("deep", deep()));

    private static JsonNode deep() {
        JsonNode node = NODES.arrayNode();
        for (int i = 0; i < 60; i++) {
            node = NODES.arrayNode().add(node);
        }
        return node;
    }

    /** A route that writes, with the body its schema describes. */
    private record Route(String method, String path, JsonNode body) {}

    private JsonNode contract;

    private List<Route> routes() {
        List<Route> routes = new ArrayList<>();
        contract.get("paths")
                .forEachEntry(
                        (path, methods) ->
                                methods.forEachEntry(
                                        (method, route) -> {
                                            if (!method.equals("get") && fuzzed(path, method)) {
                                                routes.add(
                                                        new Route(
                                                                method.toUpperCase(Locale.ROOT),
                                                                path,
                                                                body(route)));
                                            }
                                        }));
        return routes;
    }

    /** Signing out, leaving and throwing away would end the test itself. */
    private static boolean fuzzed(String path, String method) {
        boolean ends = method.equals("delete") && path.matches("/api/jobs/\\{job}|/auth/.*");
        return !ends && !path.matches("/auth/(session|password|first-account)");
    }

    private JsonNode body(JsonNode route) {
        JsonNode content = route.path("requestBody").path("content");
        JsonNode schema = content.path("application/json").path("schema");
        return schema.isMissingNode() ? NODES.objectNode() : sample(schema, 0);
    }

    private JsonNode sample(JsonNode schema, int depth) {
        String ref = schema.path("$ref").asString("");
        if (!ref.isEmpty()) {
            String name = ref.substring(ref.lastIndexOf('/') + 1);
            return sample(contract.path("components").path("schemas").path(name), depth + 1);
        }
        if (depth > 8) {
            return NODES.nullNode();
        }
        return switch (schema.path("type").asString("object")) {
            case "string" -> NODES.stringNode(schema.path("enum").path(0).asString("device"));
            case "integer", "number" -> NODES.numberNode(1);
            case "boolean" -> NODES.booleanNode(false);
            case "array" -> NODES.arrayNode().add(sample(schema.path("items"), depth + 1));
            default -> {
                ObjectNode object = NODES.objectNode();
                schema.path("properties")
                        .forEachEntry((name, of) -> object.set(name, sample(of, depth + 1)));
                if (schema.has("additionalProperties")) {
                    object.put("name", "x");
                }
                yield object;
            }
        };
    }

    /** The body with one of its values at a time turned into nonsense; and one value more. */
    private static List<JsonNode> mutants(JsonNode body) {
        List<JsonNode> all = new ArrayList<>();
        all.add(body);
        if (body.isEmpty()) {
            // It takes no body; a few are enough to show that none disturbs it.
            all.add(NODES.nullNode());
            return all;
        }
        NONSENSE.values().forEach(all::add);
        mutate(body, Function.identity(), all);
        if (body instanceof ObjectNode object) {
            all.add(object.deepCopy().put("nobody-knows", 1));
        }
        return all;
    }

    private static void mutate(
            JsonNode at, Function<JsonNode, JsonNode> whole, List<JsonNode> all) {
        if (at instanceof ObjectNode object) {
            object.forEachEntry(
                    (name, value) -> {
                        Function<JsonNode, JsonNode> with =
                                v -> whole.apply(object.deepCopy().set(name, v));
                        NONSENSE.values().forEach(v -> all.add(with.apply(v)));
                        all.add(whole.apply(object.deepCopy().without(name)));
                        mutate(value, with, all);
                    });
        } else if (at instanceof ArrayNode list && !list.isEmpty()) {
            Function<JsonNode, JsonNode> with = v -> whole.apply(NODES.arrayNode().add(v));
            NONSENSE.values().forEach(v -> all.add(with.apply(v)));
            mutate(list.get(0), with, all);
        }
    }

    @Test
    void nonsenseIsTakenOrRefusedAndNothingFails() throws InterruptedException {
        Client asha = new Client().signIn();
        contract = asha.get("/api/openapi").json();
        String job = freshJob(asha);
        Queue<String> failed = new ConcurrentLinkedQueue<>();
        List<Route> routes = routes();
        assertThat(routes).hasSizeGreaterThan(40);
        ExecutorService threads = Executors.newFixedThreadPool(8);
        for (Route route : routes) {
            threads.execute(() -> fuzz(asha, route, job, failed));
        }
        threads.shutdown();
        assertThat(threads.awaitTermination(3, TimeUnit.MINUTES)).isTrue();
        assertThat(failed).isEmpty();
        assertThat(asha.get("/api/jobs/" + job).status()).isEqualTo(200);
    }

    private static void fuzz(Client asha, Route route, String job, Queue<String> failed) {
        String path = route.path().replace("{job}", job);
        for (JsonNode body : mutants(route.body())) {
            String at = path.replaceAll("\\{[^}]*}", "1");
            note(asha.send(route.method(), at, body), route, body.toString(), failed);
        }
        for (String odd : List.of("9223372036854775807", "x", "-1", "%00", "0x1", "1e3")) {
            String at = path.replaceAll("\\{[^}]*}", odd);
            note(asha.send(route.method(), at, route.body()), route, odd, failed);
        }
    }

    private static String freshJob(Client asha) {
        return Long.toString(
                asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong());
    }

    /** Without a rig some routes say so; that is an answer. */
    private static void note(Answer answer, Route route, String body, Queue<String> failed) {
        if (answer.status() >= 500 && !answer.code().matches("no-rig|rig-silent")) {
            failed.add(
                    route.method()
                            + " "
                            + route.path()
                            + " "
                            + body.substring(0, Math.min(160, body.length()))
                            + " -> "
                            + answer.status());
        }
        if (answer.status() >= 400 && answer.code().isEmpty()) {
            failed.add(route.path() + " refused without a code: " + answer.text());
        }
    }

    /** What was seen to fail, by route and body. */
    @Test
    void queriesFormsAndPagesOfTheContainer() {
        Client asha = new Client().signIn();
        String job = "/api/jobs/" + freshJob(asha);
        List<String> paths =
                List.of(
                        job + "/log?day=%2B300000-01-01",
                        job + "/log?day=2026-13-01",
                        job + "/log?day=2026-03-14&zone=Nowhere/Land",
                        job + "/log?person=a%00b",
                        job + "/log?kind=a%00b",
                        job + "/log?before=x",
                        job + "/log?device=1e9",
                        job + "/cabling/joins?from=x",
                        "/error",
                        "/api/%2e%2e/x",
                        "/api/jobs/1;x=1",
                        "/api//jobs",
                        "/api/jobs/%00");
        for (String path : paths) {
            Answer answer = asha.get(path);
            assertThat(answer.status()).as(path + " " + answer.text()).isBetween(400, 499);
            assertThat(answer.code()).as(path + " " + answer.text()).isNotEmpty();
        }
        assertThat(asha.get(job + "/log?day=2026-03-14&zone=UTC%2B18:00").status()).isEqualTo(200);
        assertThat(asha.send("TRACE", "/api/jobs", "").code()).isNotEmpty();
        Answer broken = asha.sendBroken(job + "/log");
        assertThat(List.of(broken.status(), broken.code())).containsExactly(400, "bad-form");
    }
}
