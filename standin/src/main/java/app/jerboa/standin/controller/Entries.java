package app.jerboa.standin.controller;

import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Profile;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What a controller holds: its keys with what was entered, and the one that is pressed. */
public final class Entries {
    private final Optional<Keys> keys;
    private final Map<Integer, Entry> entered = new TreeMap<>();
    private int pressed;

    public Entries(Profile profile) {
        this.keys = profile.keys();
        this.pressed = first();
    }

    private int first() {
        return keys.map(Keys::first).orElse(1);
    }

    /**
     * @throws IllegalArgumentException for a key that it has not
     */
    public synchronized void enter(int key, Optional<Entry> entry) {
        insist(key);
        entry.ifPresentOrElse(e -> entered.put(key, e), () -> entered.remove(key));
    }

    private void insist(int key) {
        int most = keys.map(k -> k.first() + k.count() - 1).orElse(Integer.MAX_VALUE);
        if (key < first() || key > most) {
            throw new IllegalArgumentException("its keys are " + first() + " to " + most);
        }
    }

    public synchronized void press(int key) {
        insist(key);
        pressed = key;
    }

    public synchronized int pressed() {
        return pressed;
    }

    /** Of a key: entered there, or counted up from the first one by one that counts. */
    public synchronized Optional<Entry> of(int key) {
        Entry own = entered.get(key);
        Entry from = entered.get(first());
        boolean counts = keys.filter(Keys::counting).isPresent();
        if (own != null || !counts || from == null || from.address().isEmpty()) {
            return Optional.ofNullable(own);
        }
        return Optional.of(from.counted(key - first()));
    }

    /** As they were typed, without what is counted. */
    public synchronized Map<Integer, Entry> entered() {
        return new TreeMap<>(entered);
    }

    /** Every key that leads somewhere. */
    public synchronized Map<Integer, Entry> all() {
        Map<Integer, Entry> all = new TreeMap<>(entered);
        boolean counts = keys.filter(Keys::counting).isPresent();
        for (int k = first(); counts && k < first() + keys.get().count(); k++) {
            int key = k;
            of(key).ifPresent(e -> all.put(key, e));
        }
        return all;
    }

    public synchronized void restore(Map<Integer, Entry> saved, int key) {
        entered.clear();
        entered.putAll(saved);
        pressed = key;
    }

    public synchronized void clear() {
        entered.clear();
        pressed = first();
    }
}
