package app.jerboa.server.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.profile.Profile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What is refused in a profile, and where; and the schema that says so beforehand. */
class ProfileFileTest {
    private static final Path PUBLISHED = Path.of("../docs/formats/jerboa-profile.schema.json");

    @Test
    void thePublishedSchemaIsWhatTheRecordsSay() throws IOException {
        String schema = ProfileSchema.schema().toPrettyString() + "\n";
        if (System.getenv("JERBOA_WRITE_OPENAPI") != null) {
            Files.writeString(PUBLISHED, schema);
        }
        assertThat(Files.readString(PUBLISHED)).isEqualTo(schema);
    }

    private static ObjectNode ceiling() {
        Profiles all = TestProfiles.profiles();
        return (ObjectNode) TestProfiles.tree(all.facts(all.find("ceiling-ptz").orElseThrow()));
    }

    /**
     * What an axis says is its own: nothing standard, not the other axis, and no knob says it.
     *
     * @param drive of the roll; the rail's is {@code 8x 01 7E 61 0p 0p FF}
     * @param frame of a verb
     */
    @ParameterizedTest
    @CsvSource({
        "8x 01 7E 60 0p 0p FF, 8x 01 7E 45 01 FF, ''",
        "8x 01 04 00 0p FF, 8x 01 7E 45 01 FF, /head/roll/drive",
        "8x 01 04 07 0p FF, 8x 01 7E 45 01 FF, /head/roll/drive",
        "8x 01 7E 61 0p 0p FF, 8x 01 7E 45 01 FF, /head/rail/drive",
        "8x 01 7E 60 0p 0p FF, 8x 01 7E 60 00 0A FF, /verbs/0/said/0/frame",
        "8x 01 7E 60 0p 0p FF, 8x 01 7E 61 00 00 FF, /verbs/0/said/0/frame"
    })
    void anAxisIsDrivenByFramesOfItsOwn(String drive, String frame, String place) {
        ObjectNode facts = ceiling();
        put(facts.at("/head"), "roll", axis(drive));
        put(facts.at("/head"), "rail", axis("8x 01 7E 61 0p 0p FF"));
        put(facts.at("/verbs/0"), "said", "[{\"in\":\"visca\",\"frame\":\"" + frame + "\"}]");
        if (place.isEmpty()) {
            assertThat(TestProfiles.profiles().insist(facts.toString()).head()).isPresent();
            return;
        }
        isRefused(facts, place);
    }

    private static void isRefused(ObjectNode facts, String place) {
        assertThatThrownBy(() -> TestProfiles.profiles().insist(facts.toString()))
                .isInstanceOfSatisfying(
                        ProfileRejected.class,
                        e ->
                                assertThat(e.wrong())
                                        .extracting(ProfileRejected.Wrong::at)
                                        .contains(place));
    }

    private static String axis(String drive) {
        return "{\"from\":-30,\"to\":30,\"slowest\":0.5,\"fastest\":20,\"steps\":5,"
                + "\"drive\":\""
                + drive
                + "\"}";
    }

    /** A JSON value put at a pointer: refused there. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/draw/mostWatts            | 5000                | /draw/mostWatts",
                "/draw/mostWatts            | 3                   | /draw/mostWatts",
                "/draw/mostWatts            | \"much\"            | /draw/mostWatts",
                "/bootSeconds               | -1                  | /bootSeconds",
                "/bootSeconds               | 1.5                 | /bootSeconds",
                "/tally | {\"line\":\"?\",\"found\":{\"pattern\":\"(x)\"}} | /tally/line",
                "/tally | {\"found\":{\"pattern\":\"(x)\"}} | /tally",
                "/tally | {\"reading\":{\"method\":\"GET\",\"kind\":\"none\",\"path\":\"/pgm\"},\"found\":{\"pattern\":\"x\"}} | /tally/found",
                "/tally | {\"reading\":{\"method\":\"GET\",\"kind\":\"none\",\"path\":\"//b/x\"},\"found\":{\"pointer\":\"/x\"}} | /tally/reading/path",
                "/tally | {\"reading\":{\"method\":\"GET\",\"kind\":\"none\",\"path\":\"/{value}\"},\"found\":{\"pointer\":\"/x\"}} | /tally/reading",
                "/sort                      | \"spaceship\"       | /sort",
                "/name                      | \"<b>big</b>\"      | /name",
                "/name                      | \"\"                | /name",
                "/id                        | \"Ceiling PTZ\"     | /id",
                "/network/address           | \"192.168.77.300\"  | /network/address",
                "/network/address           | \"192.168.77.255\"  | /network/address",
                "/network/starts            | \"lease\"           | /network/address",
                "/serial/baud               | 1200                | /serial/baud",
                "/ids/factory               | 9                   | /ids/factory",
                "/speaks/0/port             | 70000               | /speaks/0/port",
                "/head/panRightDegrees      | -200                | /head/panRightDegrees",
                "/clashes/0/one             | \"Periscope\"       | /clashes/0/one",
                "/video/dial/0/format       | \"1080p24\"         | /video/dial/0/format",
                "/knobs/5/name              | \"iris\"            | /knobs/5/name",
                "/knobs/4/least             | 40                  | /knobs/4/most",
                "/knobs/4/said/0/message    | \"eyes\"            | /knobs/4/said/0/message",
                "/knobs/4/most              | 300                 | /knobs/4/said/0/message",
                "/knobs/8/only/0/in         | [\"purple\"]        | /knobs/8/only/0/in",
                "/knobs/8/only/0/knob       | \"red gain\"        | /knobs/8/only/0/knob",
                "/knobs/8/unit              | \"\"                | /knobs/8/unit",
                "/knobs/14/said/0/frame     | \"8x 01 0G FF\"     | /knobs/14/said/0/frame",
                "/knobs/14/said/0/frame     | \"8x 01 FF\"        | /knobs/14/said/0/frame",
                "/knobs/14/said/0/answer    | \"y0 51 0p FF\"     | /knobs/14/said/0/answer",
                "/knobs/14/most             | 200                 | /knobs/14/said/0/frame",
                "/knobs/4/said/1/request/path | \"//elsewhere/{value}\"   | /knobs/4/said/1/request/path",
                "/knobs/4/said/1/request/path | \"http://a/{value}\"      | /knobs/4/said/1/request/path",
                "/knobs/4/said/1/request/path | \"/a/../../{value}\"      | /knobs/4/said/1/request/path",
                "/knobs/4/said/1/request/path | \"/set?iris={valu}\"      | /knobs/4/said/1/request/path",
                "/knobs/4/said/1/request/body | \"iris={value}\"          | /knobs/4/said/1/request/body",
                "/knobs/4/said/1/found      | {\"pattern\":\"(a+)+$\\\\1(\"} | /knobs/4/said/1/found",
                "/knobs/4/said/1/found      | {\"pattern\":\"iris\"} | /knobs/4/said/1/found",
                "/knobs/4/said/1/in         | \"panel-link\"      | /knobs/4/said/1/in",
                "/verbs/0/said/0/message    | \"iris\"            | /verbs/0/said/0/message",
                "/web/signIn                | \"cookie\"          | /web/signInCall",
                "/firmware/shipped          | \"two\"             | /firmware/shipped",
                "/summary                   | null                | /summary",
            })
    void refusesAtItsPlace(String pointer, String value, String place) {
        ObjectNode facts = ceiling();
        int slash = pointer.lastIndexOf('/');
        put(facts.at(pointer.substring(0, slash)), pointer.substring(slash + 1), value);
        isRefused(facts, place);
    }

    private static void put(JsonNode into, String key, String value) {
        ((ObjectNode) into).set(key, TestProfiles.tree(value));
    }

    @Test
    void refusesWhatItDoesNotKnowAndWhatIsNoJson() {
        ObjectNode more = ceiling().put("colour", "red");
        for (String text :
                new String[] {more.toString(), "{", "[]", "{\"id\":\"a\",\"id\":\"b\"}", ""}) {
            assertThatThrownBy(() -> TestProfiles.profiles().insist(text))
                    .as(text)
                    .isInstanceOf(ProfileRejected.class);
        }
    }

    @Test
    void aShippedProfileCopiedUnderAnotherIdIsOneOfOurOwn() {
        ObjectNode copy = ceiling().put("id", "ceiling-ptz-2").put("name", "Ceiling PTZ, ours");
        assertThat(TestProfiles.profiles().insist(copy.toString()).head()).isPresent();
    }

    /** As it was written before there were knobs and verbs. */
    @Test
    void anOldFormIsReadAsWhatItMeant() {
        ObjectNode old = ceiling().put("id", "ceiling-ptz-old").put("name", "Ceiling PTZ, older");
        old.remove("knobs");
        old.remove("verbs");
        old.remove("web");
        old.set(
                "paint",
                TestProfiles.tree(
                        "{\"controls\":[\"iris\",\"red-gain\",\"knee\"],\"twoWay\":true,\"needs\":[\"a mode\"]}"));
        old.set(
                "frames",
                TestProfiles.tree("[{\"name\":\"Tally on\",\"hex\":\"81 01 7E 01 0A 00 02 FF\"}]"));
        Profile read = TestProfiles.profiles().insist(old.toString());
        assertThat(read.knobs()).extracting(Knob::name).containsExactly("iris", "red gain");
        assertThat(read.knob("red gain").orElseThrow().readable()).isTrue();
        assertThat(read.verbs().get(0).said().get(0).frame()).isEqualTo("8x 01 7E 01 0A 00 02 FF");
        assertThat(read.paintNeeds()).containsExactly("a mode");
        String again = TestProfiles.profiles().facts(read);
        assertThat(TestProfiles.profiles().insist(again)).isEqualTo(read);
        assertThat(again).doesNotContain("\"paint\":", "\"frames\"");
    }
}
