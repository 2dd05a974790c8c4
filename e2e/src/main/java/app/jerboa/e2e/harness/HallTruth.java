package app.jerboa.e2e.harness;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;

/** What a hall really is, beside what the product says of it. */
public final class HallTruth {
    private static final String ADDRESS = "(\\d+\\.\\d+\\.\\d+\\.\\d+)";
    private static final Pattern SILENT =
            Pattern.compile("^(?:In the rig: n|N)othing answers at " + ADDRESS);
    private static final Pattern FIGHT =
            Pattern.compile("answer at " + ADDRESS + " and fight over it");
    private static final Pattern NO_SETTING = Pattern.compile("devices fight over " + ADDRESS);
    private static final Pattern OTHER =
            Pattern.compile("^The device at " + ADDRESS + " has the MAC (\\S+), not");
    private static final Pattern STILL = Pattern.compile("^(.+) still answers at " + ADDRESS);
    private static final Pattern DUMB = Pattern.compile("is at " + ADDRESS + " but does not speak");
    private static final Pattern HAND = Pattern.compile("^At the device: ");

    private final Programs programs;
    private final long job;

    public HallTruth(Programs programs, long job) {
        this.programs = programs;
        this.job = job;
    }

    private JsonNode dump() {
        return BrowserUser.json(programs.rig("GET", "/halls/" + job + "/truth", ""));
    }

    /**
     * A step that was ticked because a device answered.
     *
     * @throws IllegalStateException when it does not stand there
     */
    void insist(JsonNode step) {
        String kind = step.get("kind").asString();
        if (!kind.equals("verify") && !kind.equals("see")) {
            return;
        }
        JsonNode all = dump();
        String wanted = step.get(kind.equals("verify") ? "planned" : "factory").asString();
        String stands = device(all, step.get("device").asString()).orElseThrow();
        if (!wanted.isEmpty() && !wanted.equals(stands)) {
            throw new IllegalStateException(
                    step.get("device").asString()
                            + " was ticked at "
                            + wanted
                            + ", is at "
                            + stands);
        }
    }

    private static Optional<String> device(JsonNode all, String name) {
        return StreamSupport.stream(all.get("devices").spliterator(), false)
                .filter(d -> d.get("name").asString().equals(name))
                .map(d -> d.get("condition").get("settings").get("address").asString())
                .findFirst();
    }

    /**
     * Whether what stood on the last card is so; empty when it says nothing that can be held
     * against the hall.
     */
    public Optional<Boolean> holds(String said) {
        JsonNode all = dump();
        Matcher silent = SILENT.matcher(said);
        if (silent.find()) {
            return Optional.of(
                    answering(all, silent.group(1)).isEmpty() || nobodyHolds(all, silent.group(1)));
        }
        Matcher fight = FIGHT.matcher(said);
        if (fight.find()) {
            List<String> names = answering(all, fight.group(1));
            return Optional.of(names.size() > 1 && names.stream().allMatch(said::contains));
        }
        Matcher noSetting = NO_SETTING.matcher(said);
        if (noSetting.find()) {
            return Optional.of(answering(all, noSetting.group(1)).size() > 1);
        }
        Matcher other = OTHER.matcher(said);
        if (other.find()) {
            return Optional.of(answers(all, other.group(1), other.group(2)));
        }
        Matcher still = STILL.matcher(said);
        if (still.find()) {
            return Optional.of(answering(all, still.group(2)).contains(still.group(1)));
        }
        Matcher dumb = DUMB.matcher(said);
        if (dumb.find()) {
            return Optional.of(!answering(all, dumb.group(1)).isEmpty());
        }
        // What a hand meets is the hall's own word.
        return HAND.matcher(said).find() ? Optional.of(true) : Optional.empty();
    }

    private static boolean nobodyHolds(JsonNode all, String address) {
        JsonNode at = all.get("addresses").path(address);
        return at.path("holder").isMissingNode() || at.path("holder").isNull();
    }

    /** Whoever has this MAC answers there; the house's own things have labels of their own. */
    private boolean answers(JsonNode all, String address, String mac) {
        List<String> there = answering(all, address);
        JsonNode hall = BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
        return StreamSupport.stream(hall.get("devices").spliterator(), false)
                .filter(d -> d.path("mac").asString("").equals(mac))
                .map(d -> d.get("name").asString())
                .findFirst()
                .map(there::contains)
                .orElse(there.contains("House gear"));
    }

    private static List<String> answering(JsonNode all, String address) {
        return StreamSupport.stream(
                        all.get("addresses").path(address).path("answering").spliterator(), false)
                .map(id -> name(all, id.asLong()))
                .toList();
    }

    private static String name(JsonNode all, long id) {
        return StreamSupport.stream(all.get("devices").spliterator(), false)
                .filter(d -> d.get("id").asLong() == id)
                .map(d -> d.get("name").asString())
                .findFirst()
                .orElse("House gear");
    }

    /** Puts so many faults into the hall, by a seed. */
    public void spoil(long seed, int count) {
        programs.rig(
                "POST",
                "/halls/" + job + "/faults",
                "{\"seed\":" + seed + ",\"count\":" + count + "}");
    }

    /** What was put there, in words. */
    public String faults() {
        return dump().get("faults").toString();
    }
}
