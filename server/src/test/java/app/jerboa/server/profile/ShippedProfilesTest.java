package app.jerboa.server.profile;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.ProfileCheck;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Speaks;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** What ships is sound, plausible for its sort, and says everything the schema has a place for. */
class ShippedProfilesTest {
    private static final List<Profile> ALL = TestProfiles.profiles().all();
    private static final Set<String> FACTORY_NETWORKS =
            Set.of("192.168.77.", "172.29.3.", "10.90.0.");

    static List<Profile> all() {
        return ALL;
    }

    @Test
    void thereIsOneOfEverySort() {
        assertThat(ALL).hasSizeGreaterThanOrEqualTo(36);
        assertThat(ALL.stream().map(Profile::sort).collect(Collectors.toSet()))
                .containsExactlyInAnyOrder(Sort.values());
        assertThat(ALL).extracting(Profile::name).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @MethodSource("all")
    void agreesWithItselfAndSurvivesBeingWritten(Profile p) {
        assertThat(ProfileCheck.of(p)).isEmpty();
        String facts = TestProfiles.profiles().facts(p);
        assertThat(TestProfiles.profiles().insist(facts)).isEqualTo(p);
        assertThat(TestProfiles.profiles().facts(TestProfiles.profiles().read(facts)))
                .as("one way to write it")
                .isEqualTo(facts);
    }

    /**
     * Sort: seconds to boot, kilograms, watts at most; and what must, may (?) or cannot be there.
     */
    @ParameterizedTest
    @CsvSource({
        "CEILING_PTZ,        15,90,  1,4,      8,30,    network?  head  keys-",
        "COMPACT_PTZ,        10,90,  0.3,1.5,  4,15,    network?  head  keys-",
        "CINEMA_HEAD,        30,120, 3,15,     30,120,  network   head  keys-",
        "SHOULDER_CAMERA,    5,30,   2,6,      15,45,   network   head- keys-",
        "BOX_CAMERA,         10,60,  0.3,2,    5,25,    network   head- keys-",
        "GIMBAL_CAMERA,      3,30,   1,5,      10,60,   network-  head  keys-",
        "DOME,               10,60,  1,6,      6,40,    network-  head  keys-",
        "USB_CAMERA,         1,15,   0.05,0.8, 1,5,     network-  head- keys-",
        "IP_STICK,           10,60,  1,5,      5,20,    network   head- keys",
        "SERIAL_STICK,       1,20,   1,4,      2,10,    network-  head- keys",
        "HYBRID_STICK,       10,60,  1,5,      5,20,    network   head- keys",
        "KEYBOARD_CONTROLLER,10,60,  1,4,      4,15,    network   head- keys",
        "PAINT_PANEL,        5,60,   0.5,3,    3,15,    network   head- keys",
        "CONTROL_APP,        10,90,  0.3,1,    5,30,    network   head- keys",
        "CONTROL_SOFTWARE,   5,120,  1,10,     20,200,  network   head- keys",
        "IR_REMOTE,          0,5,    0.05,0.3, 0.05,1,  network-  head- keys",
        "MOTION_CONTROLLER,  10,60,  0.5,5,    10,150,  network   head  keys",
        "GAME_PAD,           0,5,    0.1,0.6,  0.1,2,   network-  head- keys-",
        "POE_SWITCH,         20,180, 0.5,8,    40,700,  network   head- keys-",
        "HOUSE_ROUTER,       30,180, 0.3,5,    5,60,    network   head- keys-",
        "WIRELESS_POINT,     30,120, 0.2,1.5,  5,30,    network   head- keys-",
        "SERIAL_SERVER,      5,60,   0.1,1,    1,8,     network   head- keys-",
        "TUNNEL_BOX,         20,120, 0.1,1.5,  3,20,    network   head- keys-",
        "MODEM,              20,120, 0.1,1.5,  3,30,    network   head- keys-",
        "CONTROL_BRIDGE,     10,60,  0.1,1,    2,10,    network   head- keys-",
        "ENCODER,            15,90,  0.3,2,    5,30,    network   head- keys-",
        "DECODER,            15,90,  0.3,2,    5,30,    network   head- keys-",
        "CONVERTER,          1,20,   0.1,1,    1,15,    network-  head- keys-",
        "BASE_STATION,       10,60,  2,8,      60,250,  network   head- keys-",
        "RECORDER,           30,180, 1,10,     20,120,  network   head- keys-",
        "VIDEO_SWITCHER,     5,60,   0.5,10,   10,150,  network   head- keys-",
        "COMPUTER_SWITCHER,  60,240, 5,25,     150,600, network   head- keys?",
        "USB_CAPTURE,        1,10,   0.05,0.5, 1,5,     network-  head- keys-",
        "LAPTOP,             20,120, 1,4,      30,150,  network   head- keys-",
        "MONITOR,            2,30,   2,25,     20,200,  network?  head- keys-",
        "LENS,               0,5,    0.1,6,    0,0,     network-  head- keys-",
        "TELECONVERTER,      0,0,    0.05,0.8, 0,0,     network-  head- keys-",
        "ZOOM_MOTOR,         2,20,   0.1,0.6,  3,15,    network-  head- keys-",
        "STUDIO_ADAPTER,     5,30,   0.5,3,    5,20,    network-  head- keys-",
        "NETWORK_ADAPTER,    5,60,   0.1,1,    2,8,     network-  head- keys-",
        "BALUN_PAIR,         0,0,    0.05,0.5, 0,0,     network-  head- keys-",
        "POE_SPLITTER,       0,5,    0.05,0.4, 5,40,    network-  head- keys-",
        "POE_INJECTOR,       0,5,    0.1,1,    20,120,  network-  head- keys-",
        "POWER_SUPPLY,       0,3,    0.1,2,    30,200,  network-  head- keys-",
        "BATTERY,            0,0,    0.2,2,    0,0,     network-  head- keys-",
        "STEP_DOWN,          0,1,    0.02,0.4, 10,80,   network-  head- keys-",
    })
    void isPlausibleForItsSort(
            Sort sort,
            int boot,
            int bootMost,
            double mass,
            double massMost,
            double watts,
            double wattsMost,
            String parts) {
        List<Profile> here = ALL.stream().filter(p -> p.sort() == sort).toList();
        assertThat(here).isNotEmpty();
        for (Profile p : here) {
            assertThat(p.bootSeconds()).as("%s boots in", p.id()).isBetween(boot, bootMost);
            assertThat(p.massKg()).as("%s kg", p.id()).isBetween(mass, massMost);
            assertThat(p.draw().map(PowerDraw::mostWatts).orElse(0.0))
                    .as("%s W", p.id())
                    .isBetween(watts, wattsMost);
            there(p, "network", p.network().isPresent(), parts);
            there(p, "head", p.head().isPresent(), parts);
            there(p, "keys", p.keys().isPresent(), parts);
        }
    }

    private static void there(Profile p, String part, boolean is, String parts) {
        String said =
                Arrays.stream(parts.split("\\s+", -1))
                        .filter(w -> w.startsWith(part))
                        .findFirst()
                        .orElseThrow();
        if (!said.endsWith("?")) {
            assertThat(is).as("%s: %s", p.id(), part).isEqualTo(!said.endsWith("-"));
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void keepsToOurOwnWorld(Profile p) {
        p.network()
                .flatMap(Network::address)
                .ifPresent(
                        a ->
                                assertThat(FACTORY_NETWORKS)
                                        .anyMatch(n -> a.toString().startsWith(n)));
        for (Speaks s : p.speaks()) {
            assertThat(s.carries()).as("%s over %s", p.id(), s.protocol()).doesNotHaveDuplicates();
        }
        p.head().ifPresent(h -> plausible(p, h));
    }

    private static void plausible(Profile p, Head h) {
        assertThat(h.pan().steps()).as("VISCA pan steps of %s", p.id()).isEqualTo(24);
        assertThat(h.tilt().steps()).isEqualTo(20);
        assertThat(h.zoom().steps()).isEqualTo(8);
        assertThat(h.pan().fastest()).isBetween(20.0, 300.0);
        assertThat(h.lens().teleMm() / h.lens().wideMm()).as("zoom").isBetween(1.0, 40.0);
        assertThat(h.panRightDegrees() - h.panLeftDegrees()).isBetween(180.0, 1440.0);
    }

    /** A place that no shipped profile fills would be a place nobody needs. */
    @Test
    void everyPlaceOfTheSchemaIsFilledBySomebody() {
        Set<String> places = new TreeSet<>();
        leaves(ProfileSchema.schema(), "", places);
        Set<String> filled =
                ALL.stream()
                        .map(p -> TestProfiles.tree(TestProfiles.profiles().facts(p)))
                        .flatMap(t -> filled(t, ""))
                        .collect(Collectors.toSet());
        places.removeAll(filled);
        assertThat(places).isEmpty();
    }

    private static void leaves(JsonNode schema, String at, Set<String> into) {
        if (schema.has("properties")) {
            schema.get("properties")
                    .properties()
                    .forEach(e -> leaves(e.getValue(), at + "/" + e.getKey(), into));
        } else if (schema.path("items").has("properties")) {
            leaves(schema.get("items"), at, into);
        } else {
            into.add(at);
        }
    }

    /** A tick that is not set says nothing. */
    private static Stream<String> filled(JsonNode node, String at) {
        if (node.isObject()) {
            return node.properties().stream()
                    .flatMap(e -> filled(e.getValue(), at + "/" + e.getKey()));
        }
        if (node.isArray()) {
            return Stream.concat(
                    node.isEmpty() ? Stream.empty() : Stream.of(at),
                    node.valueStream().flatMap(n -> filled(n, at)));
        }
        return node.isBoolean() && !node.asBoolean() ? Stream.empty() : Stream.of(at);
    }

    /** Range, direction and way of saying of what families have in common: no two are copies. */
    @Test
    void noTwoFamiliesAreCopiesWithOtherNames() {
        List<String> turned =
                TestProfiles.profiles().all().stream()
                        .filter(Profile::paints)
                        .map(
                                p ->
                                        p.knobs().stream()
                                                .map(
                                                        k ->
                                                                k.least()
                                                                        + " "
                                                                        + k.most()
                                                                        + " "
                                                                        + k.effect()
                                                                        + " "
                                                                        + k.said())
                                                .toList()
                                                .toString())
                        .toList();
        assertThat(turned).hasSizeGreaterThan(8).doesNotHaveDuplicates();
        List<Double> steps =
                TestProfiles.profiles().all().stream()
                        .flatMap(p -> p.knob("iris").stream())
                        .map(k -> k.effect().orElseThrow())
                        .toList();
        assertThat(steps).as("some close upwards").anyMatch(e -> e < 0).anyMatch(e -> e > 0);
        assertThat(Set.copyOf(steps)).hasSizeGreaterThan(5);
    }
}
