package app.jerboa.server.knobs;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StillFetchTest {
    @ParameterizedTest
    @CsvSource({
        "http://{address}/still.jpg, /still.jpg",
        "https://{address}:8443/picture/still?size=2, /picture/still?size=2",
        "http://{address}/, /",
        "http://{address}, /",
    })
    void whatIsAskedForNamesNoHost(String address, String target) {
        assertThat(StillFetch.target(address)).isEqualTo(target);
    }
}
