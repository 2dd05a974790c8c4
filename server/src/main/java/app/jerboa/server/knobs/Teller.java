package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.desk.BorrowedLinks;
import app.jerboa.server.desk.HandTurns;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Contacts;
import app.jerboa.wire.link.session.HeadLink;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/** Turns, asks and tells a device in the first language of each knob that there is a way for. */
@Service
class Teller {
    private final BorrowedLinks borrowed;
    private final TellingLinks links;
    private final HandTurns turns;
    private final Contacts contacts;

    Teller(BorrowedLinks borrowed, TellingLinks links, HandTurns turns, Contacts contacts) {
        this.contacts = contacts;
        this.borrowed = borrowed;
        this.links = links;
        this.turns = turns;
    }

    /**
     * What one knob stands at, or why that is not known.
     *
     * @param value empty when it could not be read
     * @param trouble one sentence; empty when it was read
     * @param code of the trouble; empty when it was read
     */
    record Reading(Optional<Integer> value, String trouble, String code) {
        static Reading of(int value) {
            return new Reading(Optional.of(value), "", "");
        }

        static Reading not(String trouble, String code) {
            return new Reading(Optional.empty(), trouble, code);
        }
    }

    /** The languages that this device of the job can be told in, as this machine stands now. */
    Set<Tongue> tongues(Jobs.Stored stored, Device device) {
        return tongues(contacts.ways(stored).told(device), device);
    }

    /** By the way that there is to it. */
    static Set<Tongue> tongues(DeskWay way, Device device) {
        Set<Tongue> all = EnumSet.noneOf(Tongue.class);
        if (way.leads()) {
            all.add(way.onBus() ? Tongue.D_PROTOCOL : Tongue.VISCA);
        }
        boolean addressed = device.address().isPresent();
        if (addressed && device.profile().web().isPresent()) {
            all.add(Tongue.HTTP);
        }
        if (addressed
                && (device.profile().port(Protocol.PANEL_LINK).isPresent()
                        || device.profile().port(Protocol.PANEL_SERVER).isPresent())) {
            all.add(Tongue.PANEL_LINK);
        }
        return all;
    }

    /** How it is said here; empty when there is no way for any of its languages. */
    static Optional<Saying> said(List<Saying> said, Set<Tongue> tongues) {
        return said.stream().filter(s -> tongues.contains(s.in())).findFirst();
    }

    private Saying need(List<Saying> said, Jobs.Stored stored, Device device) {
        return said(said, tongues(stored, device))
                .orElseThrow(
                        () ->
                                new NotTold(
                                        "no-way",
                                        Words.say("told.no-way", Map.of("device", device.name()))));
    }

    /** Turns a knob, and reads it back where it can be read. */
    Reading turn(Jobs.Stored stored, Device device, Knob knob, int value, Person by) {
        Saying said = need(knob.said(), stored, device);
        insistThatDesksDoNot(stored, device, knob, value);
        Function<Mouth, Reading> turned =
                mouth -> {
                    if (knob.orients()) {
                        turns.stop(stored.id(), device.id().value());
                    }
                    mouth.turn(knob, said, value);
                    return knob.readable() ? Reading.of(mouth.ask(knob, said)) : Reading.of(value);
                };
        return telling(stored, device, said.in(), by, turned);
    }

    /** What is turned round twice goes the wrong way again. */
    private void insistThatDesksDoNot(Jobs.Stored stored, Device device, Knob knob, int value) {
        boolean twice =
                knob.turns(value)
                        .filter(t -> turns.meet(stored.id(), device.id().value(), t))
                        .isPresent();
        if (twice) {
            throw new NotTold(
                    "turned-at-desk",
                    Words.say(
                            "turned.at-desk",
                            Map.of(
                                    "camera", device.name(),
                                    "knob", knob.name(),
                                    "value", knob.valueWords(value))));
        }
    }

    void tell(Jobs.Stored stored, Device device, Verb verb, Person by) {
        Saying said = need(verb.sayings(), stored, device);
        telling(
                stored,
                device,
                said.in(),
                by,
                mouth -> {
                    mouth.tell(verb, said);
                    return null;
                });
    }

    private <T> T telling(
            Jobs.Stored stored, Device device, Tongue in, Person by, Function<Mouth, T> does) {
        return switch (in) {
            case VISCA, D_PROTOCOL ->
                    borrowed.with(
                            stored, device, by, link -> does.apply(visca(link, device, true)));
            case HTTP ->
                    borrowed.held(stored, device, by, () -> does.apply(http(stored, device, true)));
            case PANEL_LINK ->
                    borrowed.held(
                            stored, device, by, () -> does.apply(panel(stored, device, true)));
        };
    }

    private static Mouth visca(HeadLink link, Device device, boolean pressed) {
        return new ViscaMouth(link, device.name(), !pressed);
    }

    private Mouth http(Jobs.Stored stored, Device device, boolean pressed) {
        return new HttpMouth(links.http(stored, device, pressed), device.name());
    }

    private Mouth panel(Jobs.Stored stored, Device device, boolean pressed) {
        return new PanelMouth(links.panel(stored, device, pressed), device.name());
    }

    /**
     * Asks for these knobs, one after the other. A device that is silent is not asked again for the
     * rest.
     *
     * @param pressed somebody asks for it just now
     */
    Map<String, Reading> read(
            Jobs.Stored stored, Device device, List<Knob> knobs, boolean pressed) {
        Set<Tongue> tongues = tongues(stored, device);
        Map<String, Reading> all = new LinkedHashMap<>();
        for (Tongue tongue : Tongue.values()) {
            List<Knob> said =
                    knobs.stream()
                            .filter(Knob::readable)
                            .filter(
                                    k ->
                                            said(k.said(), tongues)
                                                    .filter(s -> s.in() == tongue)
                                                    .isPresent())
                            .toList();
            if (!said.isEmpty()) {
                read(stored, device, tongue, said, pressed, all);
            }
        }
        return all;
    }

    private void read(
            Jobs.Stored stored,
            Device device,
            Tongue tongue,
            List<Knob> knobs,
            boolean pressed,
            Map<String, Reading> into) {
        try {
            asking(
                    stored,
                    device,
                    tongue,
                    pressed,
                    mouth -> {
                        readAll(mouth, tongue, knobs, into);
                        return null;
                    });
        } catch (Problem e) {
            not(knobs, Reading.not(e.getMessage(), e.code()), into);
        } catch (NotTold e) {
            not(knobs, Reading.not(e.getMessage(), e.code()), into);
        }
    }

    /** What a knob stands at, asked in one of its languages. */
    Reading readIn(Tongue tongue, Jobs.Stored stored, Device device, Knob knob, boolean pressed) {
        Map<String, Reading> into = new LinkedHashMap<>();
        read(stored, device, tongue, List.of(knob), pressed, into);
        return into.get(knob.name());
    }

    private static void not(List<Knob> knobs, Reading why, Map<String, Reading> into) {
        knobs.forEach(k -> into.putIfAbsent(k.name(), why));
    }

    private static void readAll(
            Mouth mouth, Tongue tongue, List<Knob> knobs, Map<String, Reading> into) {
        for (Knob k : knobs) {
            Saying said = k.said().stream().filter(s -> s.in() == tongue).findFirst().orElseThrow();
            try {
                into.put(k.name(), Reading.of(mouth.ask(k, said)));
            } catch (NotTold e) {
                if (e.code().equals("refused") || e.code().equals("not-understood")) {
                    into.put(k.name(), Reading.not(e.getMessage(), e.code()));
                } else {
                    throw e;
                }
            }
        }
    }

    private void asking(
            Jobs.Stored stored,
            Device device,
            Tongue in,
            boolean pressed,
            Function<Mouth, Void> asked) {
        switch (in) {
            case VISCA, D_PROTOCOL ->
                    borrowed.asking(
                            stored, device, link -> asked.apply(visca(link, device, pressed)));
            case HTTP -> asked.apply(http(stored, device, pressed));
            case PANEL_LINK -> asked.apply(panel(stored, device, pressed));
        }
    }
}
