package app.jerboa.e2e.harness;

import java.util.HashSet;
import java.util.Set;
import java.util.function.IntConsumer;
import tools.jackson.databind.JsonNode;

/**
 * Works a bring-up card by card in the rig's hall and knows nothing of the job: does what the card
 * has hands for, once, then lets it be looked at until it is ticked; what it says to do next is
 * done, until it says for long that something is wrong. Each tick is held against what the hall
 * really is at that moment.
 */
public final class CardTechnician {
    /** Looks at one card after its wait is over, before the technician believes what it says. */
    private static final int LOOKS = 12;

    /** Boots run a thousand times faster; so long a card may wait for one, in looks. */
    private static final int PATIENCE = 400;

    private static final int TRIES_BY_HAND = 40;
    private static final int BETWEEN_LOOKS_MILLIS = 5;

    private final JobMaker user;
    private final HallTruth truth;
    private final HallHands hands;
    private final String path;
    private final Set<Integer> done = new HashSet<>();

    public CardTechnician(JobMaker user, HallTruth truth, HallHands hands, long job) {
        this.user = user;
        this.truth = truth;
        this.hands = hands;
        this.path = "/api/jobs/" + job + "/bring-up";
    }

    /**
     * How it ended.
     *
     * @param said what stood on the card where it did not go on; empty when all is verified
     * @param presses of the technician
     */
    public record End(boolean finished, String said, int presses) {}

    /**
     * @param before told the number of each card before it is worked
     * @throws IllegalStateException for a tick that was lost, or one that is not so
     */
    public End work(String method, IntConsumer before) {
        JsonNode view =
                user.send(
                        "POST",
                        path + "/start",
                        "{\"method\":\"" + method + "\",\"workshop\":false}");
        int presses = 1;
        while (view.path("finished").isBoolean() && !view.get("finished").asBoolean()) {
            int step = view.get("current").asInt();
            before.accept(step);
            if (view.get("now").get("hands").asBoolean()) {
                presses++;
                JsonNode acted = acted(step);
                if (acted.has("detail")) {
                    return new End(false, acted.get("detail").asString(), presses);
                }
            }
            JsonNode outcome = looked(step);
            presses++;
            if (outcome.has("detail")) {
                return new End(false, outcome.get("detail").asString(), presses);
            }
            if (!outcome.get("done").asBoolean()) {
                return new End(false, outcome.get("saw").asString(), presses);
            }
            view = outcome.get("view");
            nothingLost(view);
            JsonNode ticked = view.get("steps").get(step - 1);
            if (ticked.get("evidence").asString().equals("asked")) {
                truth.insist(ticked);
            }
        }
        return view.path("finished").asBoolean(false)
                ? new End(true, "", presses)
                : new End(false, view.path("detail").asString(view.toString()), presses);
    }

    /** What does not go just now may go when the device is up again. */
    private JsonNode acted(int step) {
        String hands = path + "/steps/" + step + "/rig-hands";
        JsonNode acted = user.send("POST", hands, "{}");
        for (int i = 0; i < TRIES_BY_HAND && acted.has("detail"); i++) {
            pause();
            acted = user.send("POST", hands, "{}");
        }
        return acted;
    }

    /** One press; the card looks by itself while the technician stands there. */
    private JsonNode looked(int step) {
        JsonNode outcome = check(step);
        int looks = 0;
        int waited = 0;
        while (!outcome.has("detail")
                && !outcome.get("done").asBoolean()
                && looks < LOOKS
                && waited < PATIENCE) {
            if (outcome.get("view").get("waitSeconds").asDouble() > 0) {
                waited++;
            } else if (told(step, outcome)) {
                looks = 0;
            } else {
                looks++;
            }
            pause();
            outcome = check(step);
        }
        return outcome;
    }

    /** Whether the card said something to do, and it is done now. */
    private boolean told(int step, JsonNode outcome) {
        return hands.follow(step, outcome.get("saw").asString(), outcome.get("next").asString());
    }

    private JsonNode check(int step) {
        return user.send("POST", path + "/steps/" + step + "/check", "{}");
    }

    private static void pause() {
        try {
            Thread.sleep(BETWEEN_LOOKS_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void nothingLost(JsonNode view) {
        Set<Integer> now = new HashSet<>();
        view.get("steps")
                .forEach(
                        s -> {
                            if (s.get("done").asBoolean()) {
                                now.add(s.get("number").asInt());
                            }
                        });
        if (!now.containsAll(done)) {
            throw new IllegalStateException("ticked was " + done + ", now is " + now);
        }
        done.addAll(now);
    }
}
