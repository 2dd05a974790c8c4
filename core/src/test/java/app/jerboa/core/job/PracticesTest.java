package app.jerboa.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Practices.Fit;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PracticesTest {
    private static final Map<String, Profile> PROFILES =
            Map.of(
                    "ip",
                    SomeProfiles.of("ip", "IP camera", Sort.CEILING_PTZ)
                            .at("192.168.77.10")
                            .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                            .drawing(4, 20)
                            .profile(),
                    "serial",
                    SomeProfiles.of("serial", "Serial camera", Sort.CEILING_PTZ)
                            .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, false)
                            .profile(),
                    "onvif",
                    SomeProfiles.of("onvif", "Recorder camera", Sort.COMPACT_PTZ)
                            .leased(true)
                            .speaking(Protocol.ONVIF, Transport.TCP, false)
                            .profile(),
                    "stick",
                    SomeProfiles.of("stick", "Stick", Sort.IP_STICK)
                            .at("172.29.3.20")
                            .keys(8, 1, true)
                            .profile(),
                    "lens",
                    SomeProfiles.of("lens", "Lens", Sort.LENS).profile());

    @ParameterizedTest
    @CsvSource({
        "ip,     PRACTICE_ADDRESSES, static,           FOLLOWS",
        "onvif,  PRACTICE_ADDRESSES, static,           CANNOT",
        "onvif,  PRACTICE_ADDRESSES, lease,            FOLLOWS",
        "serial, PRACTICE_ADDRESSES, static,           NOT_CONCERNED",
        "ip,     PRACTICE_REACH,     hop,              FOLLOWS",
        "ip,     PRACTICE_REACH,     lease,            CANNOT",
        "onvif,  PRACTICE_REACH,     lease,            FOLLOWS",
        "ip,     PRACTICE_REACH,     search,           CANNOT",
        "ip,     PRACTICE_WIRING,    ip,               FOLLOWS",
        "ip,     PRACTICE_WIRING,    rs-232,           CANNOT",
        "serial, PRACTICE_WIRING,    rs-232,           FOLLOWS",
        "serial, PRACTICE_WIRING,    ip,               CANNOT",
        "serial, PRACTICE_WIRING,    mixed,            FOLLOWS",
        "stick,  PRACTICE_WIRING,    ip,               NOT_CONCERNED",
        "stick,  PRACTICE_FILLING,   counting,         FOLLOWS",
        "stick,  PRACTICE_FILLING,   panel,            CANNOT",
        "ip,     PRACTICE_FILLING,   panel,            NOT_CONCERNED",
        "ip,     PRACTICE_POWER,     poe,              FOLLOWS",
        "serial, PRACTICE_POWER,     poe,              CANNOT",
        "serial, PRACTICE_POWER,     mixed,            FOLLOWS",
        "ip,     PRACTICE_FOCUS,     locked,           FOLLOWS",
        "ip,     PRACTICE_FOCUS,     tracking,         CANNOT",
        "onvif,  PRACTICE_ACCESS,    through-recorder, FOLLOWS",
        "ip,     PRACTICE_ACCESS,    through-recorder, CANNOT",
        "ip,     PRACTICE_ACCESS,    direct,           FOLLOWS",
        "lens,   PRACTICE_PRESETS,   camera,           NOT_CONCERNED",
        "ip,     PRACTICE_STICK,     linear,           NOT_CONCERNED",
    })
    void whoCanFollow(String profile, Field matter, String way, Fit fit) {
        assertThat(Practices.fit(PROFILES.get(profile), matter, way)).isEqualTo(fit);
    }

    /** A way that is on offer is one that the rules know. */
    @Test
    void everyWayOfEveryMatterHasAnAnswerForEveryProfile() {
        for (Field matter : Practices.MATTERS) {
            for (String way : matter.type().choices()) {
                PROFILES.values()
                        .forEach(p -> assertThat(Practices.fit(p, matter, way)).isNotNull());
            }
            assertThat(matter.type().choices()).contains(matter.initial());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "numbers, 1, L1", "numbers, 14, L14", "from-zero, 1, L0", "letters, 1, LA",
        "letters, 26, LZ", "letters, 27, LAA", "letters, 702, LZZ", "letters, 703, LAAA",
    })
    void labels(String habit, int number, String label) {
        assertThat(Numbering.of(habit).label(number)).isEqualTo(label);
    }
}
