package app.jerboa.e2e.harness;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;

/**
 * What somebody in the hall does who was told so by a card, and knows nothing else: pulls what is
 * to be unplugged, plugs what is to be looked at, swaps what is another's.
 */
public final class HallHands {
    private static final Pattern RIVALS = Pattern.compile("^(.+?) (?:both )?answer at \\S+ and");
    private static final Pattern ALL_BUT = Pattern.compile("^Unplug all of them but (.+), then");
    private static final Pattern PLUGGED = Pattern.compile("^Look that (.+) is plugged in");
    private static final Pattern OTHER = Pattern.compile(" has the MAC (\\S+), not");
    private static final Pattern SWAP = Pattern.compile("Swap it for (.+), then");
    private static final String HOUSE_GEAR = "House gear";

    private final Programs programs;
    private final long job;
    private final Set<String> followed = new HashSet<>();

    HallHands(Programs programs, long job) {
        this.programs = programs;
        this.job = job;
    }

    /**
     * Does what the card says next, each thing once.
     *
     * @return false where there is nothing for hands, or it was done before
     */
    boolean follow(int step, String saw, String next) {
        if (!followed.add(step + saw + next)) {
            return false;
        }
        Matcher allBut = ALL_BUT.matcher(next);
        Matcher rivals = RIVALS.matcher(saw);
        if (allBut.find() && rivals.find()) {
            Arrays.stream(rivals.group(1).split(", | and ", -1))
                    .filter(n -> !n.equals(allBut.group(1)))
                    .forEach(this::unplug);
            return true;
        }
        Matcher plugged = PLUGGED.matcher(next);
        if (plugged.find()) {
            plug(plugged.group(1), true);
            return true;
        }
        Matcher other = OTHER.matcher(saw);
        Matcher swap = SWAP.matcher(next);
        if (other.find() && swap.find()) {
            labelled(other.group(1)).ifPresentOrElse(this::unplug, this::clearHouse);
            plug(swap.group(1), true);
            return true;
        }
        return false;
    }

    private void unplug(String name) {
        if (name.equals(HOUSE_GEAR)) {
            clearHouse();
        } else {
            plug(name, false);
        }
    }

    private void clearHouse() {
        programs.rig("DELETE", "/halls/" + job + "/house-gear", "");
    }

    private void plug(String name, boolean on) {
        devices()
                .filter(d -> d.get("name").asString().equals(name))
                .map(d -> d.get("id").asLong())
                .forEach(
                        id ->
                                programs.rig(
                                        "PUT",
                                        "/halls/" + job + "/devices/" + id + "/plug",
                                        "{\"plugged\":" + on + ",\"upstream\":false}"));
    }

    /** Whose label bears it. */
    private Optional<String> labelled(String mac) {
        return devices()
                .filter(d -> d.path("mac").asString("").equals(mac))
                .map(d -> d.get("name").asString())
                .findFirst();
    }

    private Stream<JsonNode> devices() {
        JsonNode hall = BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
        return StreamSupport.stream(hall.get("devices").spliterator(), false);
    }
}
