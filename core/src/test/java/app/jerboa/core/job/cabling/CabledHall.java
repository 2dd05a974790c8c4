package app.jerboa.core.job.cabling;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import java.util.Random;

/** A hall with a bit of everything that is run through it, loose at first. */
public final class CabledHall {
    private static SomeProfiles of(String id, Sort sort) {
        return SomeProfiles.of(id, id, sort);
    }

    public static final Profile ROUTER =
            of("router", Sort.HOUSE_ROUTER)
                    .at("192.168.77.1")
                    .port("LAN", Join.ETHERNET, 4, PortUse.NETWORK)
                    .profile();
    public static final Profile SWITCH =
            of("switch", Sort.POE_SWITCH)
                    .at("192.168.77.2")
                    .giving(8, 130)
                    .port("PORT", Join.ETHERNET, 8, PortUse.NETWORK)
                    .port("UPLINK", Join.ETHERNET, 2, PortUse.NETWORK)
                    .port("CONSOLE", Join.CONSOLE, 1, PortUse.CONFIGURATION)
                    .profile();
    public static final Profile MIXER =
            of("mixer", Sort.VIDEO_SWITCHER)
                    .at("192.168.77.3")
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .port("INPUT", Join.SDI_IN, 6, PortUse.PICTURE)
                    .port("PGM", Join.SDI_OUT, 2, PortUse.PICTURE)
                    .profile();
    public static final Profile MONITOR =
            of("monitor", Sort.MONITOR).port("SDI", Join.SDI_IN, 1, PortUse.PICTURE).profile();
    public static final Profile CONVERTER =
            of("converter", Sort.CONVERTER)
                    .port("HDMI IN", Join.HDMI_IN, 1, PortUse.PICTURE)
                    .port("SDI OUT", Join.SDI_OUT, 1, PortUse.PICTURE)
                    .profile();
    public static final Profile HEAD =
            of("head", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .poeOrDc(4, 25)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .sending("1080p50")
                    .profile();
    public static final Profile SMALL =
            of("small", Sort.GIMBAL_CAMERA)
                    .port("HDMI", Join.HDMI_OUT, 1, PortUse.PICTURE)
                    .profile();
    public static final Profile STICK =
            of("stick", Sort.SERIAL_STICK)
                    .serial(9600)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, true)
                    .keys(7, 1, false)
                    .port("RS-232", Join.RS_232_OUT, 1, PortUse.CONTROL)
                    .profile();
    public static final Profile SERIAL_HEAD =
            of("serial-head", Sort.CEILING_PTZ)
                    .serial(9600)
                    .dc(12, 10.8, 18)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, false)
                    .port("IN", Join.RS_232_IN, 1, PortUse.CONTROL)
                    .port("OUT", Join.RS_232_OUT, 1, PortUse.CONTROL)
                    .port("DC", Join.DC_IN, 1, PortUse.POWER)
                    .profile();
    public static final Profile SUPPLY =
            of("supply", Sort.POWER_SUPPLY)
                    .supplying(12, 60, 0.9)
                    .port("12 V", Join.DC_OUT, 1, PortUse.POWER)
                    .profile();

    private CabledHall() {}

    /** So many cameras of each sort, by chance; the same for the same seed. */
    public static JobUnderTest loose(long seed) {
        Random random = new Random(seed);
        JobUnderTest job =
                new JobUnderTest(
                        ROUTER,
                        SWITCH,
                        MIXER,
                        MONITOR,
                        CONVERTER,
                        HEAD,
                        SMALL,
                        STICK,
                        SERIAL_HEAD,
                        SUPPLY);
        if (random.nextBoolean()) {
            job.device("Router", ROUTER);
        }
        for (int i = 0; i <= random.nextInt(3); i++) {
            job.device("Switch " + i, SWITCH);
        }
        long mixer = job.device("Mixer", MIXER);
        job.device("Monitor", MONITOR);
        job.device("Converter", CONVERTER);
        long stick = job.device("Stick", STICK);
        job.device("Supply", SUPPLY);
        int number = 0;
        Profile[] sorts = {HEAD, SMALL, SERIAL_HEAD};
        for (int i = 0; i < random.nextInt(12); i++) {
            Profile sort = sorts[random.nextInt(3)];
            number++;
            long camera = job.device("L" + number, sort);
            if (sort.id().equals(SERIAL_HEAD.id())) {
                job.line(number, camera, Field.CONTROLLER, stick, Field.KEY, number % 7 + 1);
            } else if (number <= 6) {
                job.line(number, camera, Field.SWITCHER, mixer, Field.INPUT, number);
            } else {
                job.line(number, camera);
            }
        }
        return job;
    }
}
