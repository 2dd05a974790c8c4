package app.jerboa.bench;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import java.util.List;

/** Every check of a job of halls: a switch, a mixer, two sticks, PoE heads and a serial chain. */
final class ChecksBench {
    private static final int HALL = 25;
    private static final int HEADS = 13;
    private static final int CHAIN = 7;
    private static final int KEYS = 8;
    private static final long WARM_UP = 6_000_000_000L;

    private static final Profile SWITCH =
            SomeProfiles.of("switch", "Switch", Sort.POE_SWITCH)
                    .at("192.168.77.2")
                    .giving(24, 240)
                    .port("PORT", Join.ETHERNET, 24, PortUse.NETWORK)
                    .profile();
    private static final Profile MIXER =
            SomeProfiles.of("mixer", "Mixer", Sort.VIDEO_SWITCHER)
                    .port("INPUT", Join.SDI_IN, 16, PortUse.PICTURE)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK)
                    .at("192.168.77.5")
                    .drawing(3, 9)
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true)
                    .keys(KEYS, 1, true)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile SERIAL_STICK =
            SomeProfiles.of("serial-stick", "Serial stick", Sort.SERIAL_STICK)
                    .serial(9600)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, true)
                    .keys(CHAIN, 1, false)
                    .port("RS-232", Join.RS_232_OUT, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile HEAD =
            SomeProfiles.of("head", "Head", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .poeOrDc(4, 25)
                    .speaking(
                            Protocol.VISCA_IP,
                            Transport.UDP,
                            false,
                            RemoteFunction.PAN_TILT,
                            RemoteFunction.ZOOM,
                            RemoteFunction.FOCUS)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .sending("1080p50")
                    .profile();
    private static final Profile SERIAL_HEAD =
            SomeProfiles.of("serial-head", "Serial head", Sort.CEILING_PTZ)
                    .serial(9600)
                    .ids(1, 7)
                    .speaking(Protocol.VISCA_SERIAL, Transport.RS_232, false)
                    .port("IN", Join.RS_232_IN, 1, PortUse.CONTROL)
                    .port("OUT", Join.RS_232_OUT, 1, PortUse.CONTROL)
                    .profile();

    private final JobUnderTest job =
            new JobUnderTest(SWITCH, MIXER, STICK, SERIAL_STICK, HEAD, SERIAL_HEAD);
    private int lines;
    private int hosts = 1_000;

    private ChecksBench() {}

    static Sample check(int devices) {
        List<JobItem> items = job(devices).items().toList();
        int rounds = devices > 2_000 ? 15 : 40;
        double[] millis = new double[rounds];
        long warm = System.nanoTime() + WARM_UP;
        while (System.nanoTime() < warm) {
            JobFindings.check(Job.of(items));
        }
        for (int i = 0; i < rounds; i++) {
            Job fresh = Job.of(items);
            long start = System.nanoTime();
            int found = JobFindings.check(fresh).size();
            long end = System.nanoTime();
            if (found == 0) {
                throw new IllegalStateException("this job has faults to find");
            }
            millis[i] = (end - start) / 1e6;
        }
        return Sample.of(millis);
    }

    static Job job(int devices) {
        ChecksBench bench = new ChecksBench();
        bench.job.wide();
        for (int hall = 0; hall < devices / HALL; hall++) {
            bench.hall(hall);
        }
        return bench.job.job();
    }

    private String address() {
        int host = hosts++;
        return "10.44." + host / 256 + "." + host % 256;
    }

    private void hall(int hall) {
        long net = job.device("Switch " + hall, SWITCH, Field.ADDRESS, address());
        long mixer = job.device("Mixer " + hall, MIXER);
        long[] sticks = {
            job.device("Stick A" + hall, STICK, Field.ADDRESS, address()),
            job.device("Stick B" + hall, STICK, Field.ADDRESS, address())
        };
        for (int i = 0; i < 2; i++) {
            job.run(net, "PORT " + (20 + i), sticks[i], "LAN", "data", 5);
        }
        for (int i = 0; i < HEADS; i++) {
            int number = ++lines;
            long head = job.device("L" + number, HEAD, Field.ADDRESS, address());
            job.line(
                    number % 999 + 1,
                    head,
                    Field.CONTROLLER,
                    sticks[i / KEYS],
                    Field.KEY,
                    i % KEYS + 1,
                    Field.SWITCHER,
                    mixer,
                    Field.INPUT,
                    i + 1);
            job.run(net, "PORT " + (i + 1), head, "LAN", "data", 40 + i);
            job.run(head, "SDI", mixer, "INPUT " + (i + 1), "coax-rg6", 40 + 4 * i);
        }
        long stick = job.device("Serial stick " + hall, SERIAL_STICK);
        long before = stick;
        String out = "RS-232";
        for (int i = 1; i <= CHAIN; i++) {
            int number = ++lines;
            long head = job.device("L" + number, SERIAL_HEAD);
            job.line(
                    number % 999 + 1,
                    head,
                    Field.CONTROL_ID,
                    i,
                    Field.CONTROLLER,
                    stick,
                    Field.KEY,
                    i);
            job.run(before, out, head, "IN", "serial", 12);
            before = head;
            out = "OUT";
        }
    }
}
