package app.jerboa.standin.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/** A picture switcher: what comes in at each input, what is on programme and on preview. */
public final class Switcher {
    /**
     * One input.
     *
     * @param from name of the device whose picture comes in; blank for none
     * @param format that arrives; blank for none
     * @param shown it is the switcher's own format; else it is black
     */
    public record Input(String from, String format, boolean shown) {}

    /** Inputs counted from 1; 0 for none. */
    public record State(int programme, int preview) {}

    /** Hears of each change. */
    interface Listener {
        void changed();
    }

    private final Supplier<Map<Integer, Input>> inputs;
    private final List<Listener> listeners = new ArrayList<>();
    private State state = new State(1, 2);

    public Switcher(Supplier<Map<Integer, Input>> inputs) {
        this.inputs = inputs;
    }

    public Map<Integer, Input> inputs() {
        return inputs.get();
    }

    public synchronized State state() {
        return state;
    }

    /**
     * @throws IllegalArgumentException for an input that it has not
     */
    public void programme(int input) {
        insist(input);
        put(new State(input, state().preview()));
    }

    /**
     * @throws IllegalArgumentException for an input that it has not
     */
    public void preview(int input) {
        insist(input);
        put(new State(state().programme(), input));
    }

    /** Programme and preview change over. */
    public void cut() {
        int next = state().preview();
        int after = state().programme();
        put(new State(next, after));
    }

    private void insist(int input) {
        if (!inputs().containsKey(input)) {
            throw new IllegalArgumentException("it has no input " + input);
        }
    }

    private void put(State next) {
        List<Listener> all;
        synchronized (this) {
            state = next;
            all = List.copyOf(listeners);
        }
        all.forEach(Listener::changed);
    }

    public synchronized void restore(State saved) {
        state = saved;
    }

    synchronized void listen(Listener listener) {
        listeners.add(listener);
    }

    synchronized void forget(Listener listener) {
        listeners.remove(listener);
    }
}
