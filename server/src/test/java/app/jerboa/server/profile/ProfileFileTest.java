package app.jerboa.server.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
                "/frames/0/hex              | \"81 0G FF\"        | /frames/0/hex",
                "/firmware/shipped          | \"two\"             | /firmware/shipped",
                "/summary                   | null                | /summary",
            })
    void refusesAtItsPlace(String pointer, String value, String place) {
        ObjectNode facts = ceiling();
        int slash = pointer.lastIndexOf('/');
        put(facts.at(pointer.substring(0, slash)), pointer.substring(slash + 1), value);
        assertThatThrownBy(() -> TestProfiles.profiles().insist(facts.toString()))
                .isInstanceOfSatisfying(
                        ProfileRejected.class,
                        e ->
                                assertThat(e.wrong())
                                        .extracting(ProfileRejected.Wrong::at)
                                        .contains(place));
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
}
