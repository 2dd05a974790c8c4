package app.jerboa.core.job.cabling;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Port;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Signal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JoiningTest {
    private static DeviceSocket socket(Join join) {
        return new DeviceSocket(new Port("X", join, 1, PortUse.CONTROL), 1);
    }

    @ParameterizedTest
    @CsvSource({
        "ETHERNET, ETHERNET, DATA, ",
        "ETHERNET, ETHERNET, FIBRE, ",
        "ETHERNET, ETHERNET, COAX_RG6, CABLE",
        "ETHERNET, CONSOLE, DATA, CONSOLE",
        "ETHERNET, RS_232_IN, DATA, SERIAL_INTO_NETWORK",
        "RS_485, ETHERNET, DATA, SERIAL_INTO_NETWORK",
        "SDI_OUT, SDI_IN, COAX_RG59, ",
        "SDI_OUT, SDI_OUT, COAX_RG59, DIRECTION",
        "SDI_IN, SDI_OUT, COAX_MINI, ",
        "SDI_OUT, HDMI_IN, HDMI, KIND",
        "HDMI_OUT, HDMI_IN, HDMI_ACTIVE, ",
        "USB_DEVICE, USB_HOST, USB_2, ",
        "USB_DEVICE, USB_DEVICE, USB_2, DIRECTION",
        "RS_232_OUT, RS_232_IN, SERIAL, ",
        "RS_232_OUT, RS_232_OUT, SERIAL, SERIAL_DIRECTION",
        "RS_232_IN, RS_232_IN, SERIAL, SERIAL_DIRECTION",
        "RS_232_OUT, RS_485, SERIAL, KIND",
        "RS_422, RS_422, PAIR, ",
        "RS_485, RS_485, DATA, ",
        "DC_OUT, DC_IN, DC, ",
        "DC_IN, DC_IN, DC, DIRECTION",
        "COMPOSITE_OUT, COMPOSITE_IN, COAX_RG59, ",
        "AUDIO_OUT, AUDIO_IN, AUDIO, ",
        "MULTICORE, MULTICORE, MULTICORE, ",
        "MAINS_IN, MAINS_IN, DC, KIND",
        "LENS, LENS, DATA, KIND"
    })
    void joinsWhatBelongsTogether(Join one, Join other, Cable cable, Refusal why) {
        assertThat(Joining.refusal(socket(one), socket(other), cable).orElse(null)).isEqualTo(why);
    }

    @Test
    void refusesTheSameWhicheverEndComesFirst() {
        for (Join one : Join.values()) {
            for (Join other : Join.values()) {
                assertThat(Joining.refusal(socket(one), socket(other)))
                        .isEqualTo(Joining.refusal(socket(other), socket(one)));
            }
        }
    }

    @Test
    void theUsualCableOfASignalCarriesIt() {
        for (Join join : Join.values()) {
            if (join.signal() != Signal.NONE) {
                assertThat(join.signal().cables()).as("%s", join).isNotEmpty();
            }
        }
    }
}
