package app.jerboa.standin;

import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.control.RigServer;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.ViscaUdpPort;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.visca.IpPacket;
import java.io.IOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CountDownLatch;

/**
 * {@code rig --port N --state FILE --speed S} runs the halls; anything else runs one device alone:
 * {@code --device ceiling-ptz --bind 127.0.0.1 --visca-ip 52381 --visca-udp 1259}.
 */
public final class Main {
    private static final int RIG_PORT = 8471;
    private static final int RAW_PORT = 1259;

    private Main() {}

    public static void main(String[] args) throws InterruptedException {
        try {
            if (args.length > 0 && args[0].equals("rig")) {
                rig(new Options(args, 1, names("port", "state", "speed")));
            } else {
                device(
                        new Options(
                                args,
                                0,
                                names("device", "bind", "visca-ip", "visca-udp", "speed")));
            }
        } catch (BindException e) {
            fail(
                    "A port it needs is in use by another program: end that one, or name other ports.");
        } catch (IllegalArgumentException | IOException e) {
            fail(e.getMessage());
        }
        new CountDownLatch(1).await();
    }

    private static Set<String> names(String... names) {
        return new LinkedHashSet<>(Arrays.asList(names));
    }

    private static void fail(String sentence) {
        System.err.println("The stand-in did not start. " + sentence);
        System.exit(2);
    }

    private static WorldClock clock(Options options, Instant world) {
        Instant now = InstantSource.system().instant();
        return new WorldClock(now, world, options.number("speed", 1));
    }

    private static void rig(Options options) throws IOException {
        RigFile file = new RigFile(Path.of(options.text("state").orElse("rig.json")));
        Instant world = file.worldNow().orElse(InstantSource.system().instant());
        Rig rig = new Rig(ShippedProfiles::read, InstantSource.system(), clock(options, world));
        file.restore(rig);
        RigServer server =
                new RigServer(rig, options.port("port", RIG_PORT), () -> save(file, rig));
        Runtime.getRuntime().addShutdownHook(new Thread(() -> save(file, rig)));
        System.out.println("Stand-in rig on 127.0.0.1:" + server.port());
    }

    private static void save(RigFile file, Rig rig) {
        try {
            file.save(rig);
        } catch (IOException e) {
            System.err.println("The rig's state could not be written: " + e.getMessage());
        }
    }

    private static void device(Options options) throws IOException {
        String id = options.text("device").orElse("ceiling-ptz");
        Head facts =
                ShippedProfiles.read(id)
                        .flatMap(Profile::head)
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "no stand-in for the device \"" + id + "\""));
        InetAddress bind = InetAddress.getByName(options.text("bind").orElse("127.0.0.1"));
        if (!bind.isLoopbackAddress()) {
            throw new IllegalArgumentException("stand-ins bind to loopback only");
        }
        WorldClock clock = clock(options, InstantSource.system().instant());
        SimulatedHead head =
                new SimulatedHead(
                        facts,
                        () -> clock.at(InstantSource.system().instant()),
                        InstantSource.system());
        for (Form form : List.of(Form.HEADER, Form.RAW)) {
            boolean header = form == Form.HEADER;
            int port =
                    options.port(
                            header ? "visca-ip" : "visca-udp", header ? IpPacket.PORT : RAW_PORT);
            ViscaUdpPort open = ViscaUdpPort.open(new InetSocketAddress(bind, port), form, head);
            System.out.println(
                    id
                            + ": VISCA over UDP "
                            + (header ? "with header" : "raw")
                            + " on "
                            + bind.getHostAddress()
                            + ":"
                            + open.port());
        }
    }
}
