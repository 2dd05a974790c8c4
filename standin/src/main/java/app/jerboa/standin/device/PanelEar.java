package app.jerboa.standin.device;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.knob.Verb;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.panel.LineFramer;
import app.jerboa.wire.panel.PanelMessage;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/**
 * A camera's end of the panel link to one panel: sign-in first, knobs by their keys, changes told
 * unasked, and a tally that drops when the beat fails.
 */
public final class PanelEar implements TcpPort.Ear {
    private static final int BEATS_MISSED_SECONDS = 3;
    private static final String TALLY = "tally";

    private final KnobBank bank;
    private final String name;
    private final Door door;
    private final Gate gate;
    private final LineFramer framer = new LineFramer();
    private final Consumer<Map<String, Integer>> push = this::push;
    private Consumer<Octets> say = octets -> {};
    private boolean in;
    private Optional<ScheduledFuture<?>> watch = Optional.empty();
    private boolean beaten;

    public PanelEar(KnobBank bank, String name, Door door, Gate gate) {
        this.bank = bank;
        this.name = name;
        this.door = door;
        this.gate = gate;
    }

    @Override
    public boolean stays() {
        return gate.own();
    }

    @Override
    public synchronized void afresh() {
        framer.clear();
        in = false;
    }

    @Override
    public synchronized void open(Consumer<Octets> openSay) {
        say = openSay;
        bank.listen(push);
        watch =
                Optional.of(
                        Timers.SHARED.scheduleAtFixedRate(
                                this::beatMissed,
                                BEATS_MISSED_SECONDS,
                                BEATS_MISSED_SECONDS,
                                TimeUnit.SECONDS));
    }

    @Override
    public synchronized void gone() {
        bank.forget(push);
        watch.ifPresent(w -> w.cancel(false));
        tallyOff();
    }

    @Override
    public Octets full() {
        return LineFramer.frame(new PanelMessage.Held("another panel holds " + name).encode());
    }

    private synchronized void beatMissed() {
        if (!beaten) {
            tallyOff();
        }
        beaten = false;
    }

    private void tallyOff() {
        bank.profile()
                .knob(TALLY)
                .filter(k -> key(k.said()).isPresent())
                .ifPresent(
                        k ->
                                k.choices().stream()
                                        .filter(c -> c.name().equals("off"))
                                        .forEach(c -> bank.put(k, c.value())));
    }

    private void tell(PanelMessage message) {
        say.accept(LineFramer.frame(message.encode()));
    }

    private void push(Map<String, Integer> changed) {
        Map<String, Integer> byKey = byKey(changed);
        if (in && !byKey.isEmpty()) {
            tell(new PanelMessage.Values(byKey));
        }
    }

    private Map<String, Integer> byKey(Map<String, Integer> values) {
        Map<String, Integer> byKey = new LinkedHashMap<>();
        for (Knob k : bank.profile().knobs()) {
            key(k.said())
                    .filter(s -> values.containsKey(k.name()))
                    .ifPresent(s -> byKey.put(s.key(), values.get(k.name()) + s.offset()));
        }
        return byKey;
    }

    private static Optional<Saying> key(List<Saying> said) {
        return said.stream().filter(s -> s.in() == Tongue.PANEL_LINK).findFirst();
    }

    @Override
    public synchronized void hear(Octets chunk, Consumer<Octets> reply) {
        for (String line : framer.accept(chunk)) {
            PanelMessage message = PanelMessage.decode(line).toOptional().orElse(null);
            if (message instanceof PanelMessage.SignIn it) {
                signIn(it);
            } else if (!in) {
                tell(new PanelMessage.Refused("sign in first"));
            } else if (message == null) {
                tell(new PanelMessage.Refused("not understood"));
            } else {
                obey(message);
            }
        }
    }

    private void signIn(PanelMessage.SignIn it) {
        boolean right = it.user().equals(door.user()) && it.password().equals(door.password());
        in = right && !door.shut();
        door.tried(right);
        tell(in ? new PanelMessage.SignedIn(name) : new PanelMessage.Refused("wrong password"));
    }

    private void obey(PanelMessage message) {
        if (message instanceof PanelMessage.Turn it) {
            it.values().forEach(this::turn);
        } else if (message instanceof PanelMessage.Ask it) {
            Map<String, Integer> all = byKey(bank.all());
            if (!it.keys().isEmpty()) {
                all.keySet().retainAll(it.keys());
            }
            tell(new PanelMessage.Values(all));
        } else if (message instanceof PanelMessage.Do it) {
            told(it.key());
        } else if (message instanceof PanelMessage.Tally it) {
            turn(TALLY, it.on() ? 1 : 0);
        } else if (message instanceof PanelMessage.Beat) {
            beaten = true;
            tell(new PanelMessage.Beat());
        }
    }

    private void turn(String key, int value) {
        for (Knob k : bank.profile().knobs()) {
            Optional<Saying> said = key(k.said()).filter(s -> s.key().equals(key));
            if (said.isPresent()) {
                int before = bank.value(k.name()).orElseThrow();
                Optional<KnobBank.Refusal> no = bank.turn(k, value - said.get().offset());
                if (no.isPresent()) {
                    tell(new PanelMessage.Refused(no.get().reason()));
                } else if (before == value - said.get().offset()) {
                    tell(new PanelMessage.Values(Map.of(key, value)));
                }
                return;
            }
        }
        tell(new PanelMessage.Refused("no knob \"" + key + "\""));
    }

    private void told(String key) {
        Optional<Verb> verb =
                bank.profile().verbs().stream()
                        .filter(v -> key(v.sayings()).filter(s -> s.key().equals(key)).isPresent())
                        .findFirst();
        Optional<KnobBank.Refusal> no =
                verb.map(bank::tell)
                        .orElse(
                                Optional.of(
                                        new KnobBank.Refusal("no \"" + key + "\" here", false)));
        tell(
                no.<PanelMessage>map(r -> new PanelMessage.Refused(r.reason()))
                        .orElse(new PanelMessage.Values(byKey(bank.all()))));
    }
}
