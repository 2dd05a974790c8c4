package app.jerboa.core.profile;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.KnobUse;
import app.jerboa.core.knob.TallyTold;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.value.Fact;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * One model's facts. Every component says its words, unit and range once ({@link Fact}); the
 * published schema, the form for own profiles and the device's page are made from them.
 *
 * @param id stable, lower case, for example {@code ceiling-ptz}
 * @param name plain, by kind
 * @param bootSeconds from power to answering
 * @param network empty for what has no network at all
 * @param head empty for what does not move
 * @param knobs what can be turned on it
 * @param verbs what it can be told to do
 * @param turns names of knobs that this panel turns at cameras
 * @param paintNeeds what must be on for painting to act, where no knob of it says so
 * @param leadMetres lengths its leads come in
 * @param tally of a switcher, where it says so at all
 * @param before what must be fetched, loaded or charged before the van leaves
 */
public record Profile(
        @Fact(value = "Id", shortest = 1, longest = 64) String id,
        @Fact(value = "Name", shortest = 1, longest = 80) String name,
        @Fact("Sort") Sort sort,
        @Fact(value = "In a sentence", longest = 300) String summary,
        @Fact(value = "Boots in", unit = "s", most = 600) int bootSeconds,
        @Fact(value = "Mass", unit = "kg", least = 0.01, most = 60) double massKg,
        @Fact("Network") Optional<Network> network,
        @Fact("Access") Optional<Access> access,
        @Fact("Control") List<Speaks> speaks,
        @Fact("Serial") Optional<SerialLine> serial,
        @Fact("Control ID") Optional<Ids> ids,
        @Fact("Camera keys") Optional<Keys> keys,
        @Fact("Presets") Optional<Presets> presets,
        @Fact("Power") Optional<PowerDraw> draw,
        @Fact("Power given") Optional<PowerSource> gives,
        @Fact("Head") Optional<Head> head,
        @Fact("Lens") Optional<Optics> optics,
        @Fact("Sockets") List<Port> ports,
        @Fact("Not together") List<Clash> clashes,
        @Fact("Picture") Optional<Video> video,
        @Fact("Knobs") List<Knob> knobs,
        @Fact("Verbs") List<Verb> verbs,
        @Fact(value = "Turns at cameras", shortest = 1, longest = 40) List<String> turns,
        @Fact(value = "Painting only with", shortest = 1) List<String> paintNeeds,
        @Fact("Control by requests") Optional<WebControl> web,
        @Fact("Tells what is on programme") Optional<TallyTold> tally,
        @Fact("Habits") List<Habit> habits,
        @Fact("Sound") Optional<Audio> audio,
        @Fact("Firmware") Optional<Firmware> firmware,
        @Fact("The way back in") Optional<Recovery> recovery,
        @Fact(value = "Leads", unit = "m", least = 0.1, most = 200) List<Double> leadMetres,
        @Fact("Before the van leaves") List<Need> before) {

    /** One that has nothing but its name, to be given facts with the methods below. */
    public static Profile bare(String id, String name, Sort sort) {
        return new Profile(
                id,
                name,
                sort,
                "",
                0,
                1,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of());
    }

    public DeviceKind kind() {
        return sort.kind();
    }

    /** The fixed address it starts on, if it has one. */
    public Optional<FactoryAddress> factory() {
        return network.filter(n -> n.starts() == FactoryMode.FIXED).flatMap(Network::factory);
    }

    /** It can have an address of its own. */
    public boolean networked() {
        return network.isPresent();
    }

    public Optional<Knob> knob(String called) {
        return knobs.stream().filter(k -> k.name().equals(called)).findFirst();
    }

    /** The knob that says how it hangs, where it has one. */
    public Optional<Knob> orientation() {
        return knobs.stream().filter(Knob::orients).findFirst();
    }

    /** A camera with knobs for its picture. */
    public boolean paints() {
        return kind() == DeviceKind.CAMERA
                && knobs.stream().anyMatch(k -> k.use() == KnobUse.PAINT);
    }

    public Optional<Verb> verb(String called) {
        return verbs.stream().filter(v -> v.name().equals(called)).findFirst();
    }

    /** It can be told something in this language. */
    public boolean speaks(Tongue tongue) {
        return speaks.stream()
                .filter(s -> !s.sends())
                .anyMatch(s -> s.protocol().tongue().filter(t -> t == tongue).isPresent());
    }

    public boolean has(Habit habit) {
        return habits.contains(habit);
    }

    /** How it is controlled by this protocol, if at all. */
    public Optional<Speaks> answers(Protocol protocol) {
        return speaks(protocol).filter(s -> !s.sends()).findFirst();
    }

    /** The port it is controlled at by this protocol. */
    public OptionalInt port(Protocol protocol) {
        return answers(protocol).map(Speaks::port).orElse(OptionalInt.empty());
    }

    /**
     * The best way this controller can drive that camera: over the network first, then serial
     * lines, then the rest; empty when they share no protocol.
     */
    public Optional<Speaks> drives(Profile camera) {
        return speaks.stream()
                .filter(s -> s.sends() && camera.answers(s.protocol()).isPresent())
                .min(Comparator.comparing(Speaks::over));
    }

    private Stream<Speaks> speaks(Protocol protocol) {
        return speaks.stream().filter(s -> s.protocol() == protocol);
    }
}
