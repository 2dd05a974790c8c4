package app.jerboa.standin.device;

import app.jerboa.core.knob.Does;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.core.knob.TurnedRound;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.Profile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.Consumer;

/**
 * What the knobs of a device stand at, and how far they truly act. One bank is turned over every
 * protocol of its device; safe to use from all of them at once.
 */
public final class KnobBank {
    private static final double MOST_AWAY = 0.2;
    private static final String OFF = "off";

    private final Profile profile;

    /** Asked for with every question to a head. */
    private final Optional<Knob> orientation;

    private final List<Knob> power;
    private final Map<String, Integer> standsAt = new LinkedHashMap<>();
    private final Map<String, Double> trueEffects = new LinkedHashMap<>();
    private final List<Consumer<Map<String, Integer>>> listeners = new ArrayList<>();
    private Consumer<Verb> onVerb = v -> {};

    /** Why a device does not obey. */
    public record Refusal(String reason, boolean notNow) {}

    /**
     * @param seed by which the true effect of a step lies up to 20 % away from the profile's
     */
    public KnobBank(Profile profile, long seed) {
        this.profile = profile;
        this.orientation = profile.orientation();
        this.power = profile.knobs().stream().filter(k -> k.doing() == Does.POWERS).toList();
        Random away = new Random(seed);
        for (Knob k : profile.knobs()) {
            standsAt.put(k.name(), fromTheFactory(k));
            double factor = 1 + MOST_AWAY * (2 * away.nextDouble() - 1);
            k.effect().ifPresent(e -> trueEffects.put(k.name(), e * factor));
        }
    }

    private static int fromTheFactory(Knob k) {
        if (k.choices().isEmpty() || k.neutral().isPresent()) {
            return k.neutral().orElse(k.least());
        }
        return k.choices().stream()
                .filter(c -> c.name().equals(OFF))
                .findFirst()
                .orElse(k.choices().get(0))
                .value();
    }

    public Profile profile() {
        return profile;
    }

    /** Signed, in the knob's unit; 0 for one that has none. */
    public double trueEffect(String knob) {
        return trueEffects.getOrDefault(knob, 0.0);
    }

    public synchronized OptionalInt value(String knob) {
        Integer value = standsAt.get(knob);
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }

    public synchronized Map<String, Integer> all() {
        return new LinkedHashMap<>(standsAt);
    }

    /** Takes up what a saved state says. */
    public synchronized void restore(Map<String, Integer> saved) {
        for (Knob k : profile.knobs()) {
            Integer value = saved.get(k.name());
            if (value != null && k.takes(value)) {
                standsAt.put(k.name(), value);
            }
        }
    }

    /** It is told each change. */
    public synchronized void listen(Consumer<Map<String, Integer>> listener) {
        listeners.add(listener);
    }

    public synchronized void forget(Consumer<Map<String, Integer>> listener) {
        listeners.remove(listener);
    }

    /** What a restart or an erasing does is the device's business. */
    public synchronized void onVerb(Consumer<Verb> told) {
        onVerb = told;
    }

    /** Off but for the ears. */
    public synchronized boolean standby() {
        return power.stream().anyMatch(k -> k.valueWords(standsAt.get(k.name())).equals("standby"));
    }

    /** Axes that it turns round itself, by how it was told that it hangs. */
    public synchronized Optional<TurnedRound> turnedRound() {
        return orientation.flatMap(k -> k.turns(standsAt.get(k.name())));
    }

    /** Turns it, or says why not. */
    public Optional<Refusal> turn(Knob knob, int value) {
        synchronized (this) {
            if (!knob.takes(value)) {
                return Optional.of(
                        new Refusal(
                                knob.name() + " runs from " + knob.least() + " to " + knob.most(),
                                false));
            }
            Optional<Refusal> not = notNow(knob.only(), knob.doing());
            if (not.isPresent()) {
                return not;
            }
        }
        put(knob, value);
        return Optional.empty();
    }

    /** Stands there whatever the conditions: a motor that runs. */
    public void put(Knob knob, int value) {
        List<Consumer<Map<String, Integer>>> all;
        synchronized (this) {
            if (standsAt.put(knob.name(), value) == value) {
                return;
            }
            all = List.copyOf(listeners);
        }
        all.forEach(l -> l.accept(Map.of(knob.name(), value)));
    }

    /** Does it, or says why not. */
    public Optional<Refusal> tell(Verb verb) {
        Consumer<Verb> told;
        synchronized (this) {
            Optional<Refusal> not = notNow(verb.only(), verb.does());
            if (not.isPresent()) {
                return not;
            }
            told = onVerb;
        }
        told.accept(verb);
        return Optional.empty();
    }

    synchronized Optional<Refusal> notNow(List<OnlyWhen> only, Does does) {
        if (standby() && does != Does.POWERS) {
            return Optional.of(new Refusal("it is on standby", true));
        }
        return only.stream()
                .filter(o -> !o.in().contains(words(o.knob())))
                .map(o -> new Refusal(o.knob() + " is " + words(o.knob()), true))
                .findFirst();
    }

    private String words(String knob) {
        return profile.knob(knob).map(k -> k.valueWords(standsAt.get(knob))).orElse("");
    }
}
