package app.jerboa.server.picture;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Video;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.secrets.DeviceAccounts;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Contacts;
import app.jerboa.wire.link.rtsp.RtspRelay;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * One picture of a camera's network stream, taken by the program {@code ffmpeg} where this machine
 * has it: within bounds of time and size, by a relay that leads to this camera and nowhere else.
 * The password goes in by its standard input, so that no list of programs shows it.
 */
@Component
class StreamStill {
    private static final int USUAL_PORT = 554;
    private static final int PATIENCE_MILLIS = 6_000;
    private static final int MOST_OCTETS = 2 * 1024 * 1024;
    private static final int AT_ONCE = 2;

    private final Contacts contacts;
    private final DeviceAccounts accounts;
    private final String program;
    private final int patience;
    private final Semaphore room = new Semaphore(AT_ONCE);
    private final ScheduledExecutorService timer = Threads.timer("ffmpeg");

    @Autowired
    StreamStill(
            Contacts contacts,
            DeviceAccounts accounts,
            @Value("${jerboa.ffmpeg:ffmpeg}") String program) {
        this(contacts, accounts, program, PATIENCE_MILLIS);
    }

    /**
     * @param patience milliseconds until it is given up
     */
    StreamStill(Contacts contacts, DeviceAccounts accounts, String program, int patience) {
        this.contacts = contacts;
        this.accounts = accounts;
        this.program = program;
        this.patience = patience;
    }

    /** It sends a stream that could be looked into. */
    static boolean streams(Device device) {
        return path(device).isPresent();
    }

    private static Optional<String> path(Device device) {
        return device.profile()
                .video()
                .map(Video::streamPath)
                .filter(p -> p.startsWith("rtsp:") && device.address().isPresent());
    }

    /**
     * @return a JPEG
     * @throws NoPicture in words
     * @throws app.jerboa.server.platform.Problem when the camera cannot be reached
     */
    byte[] fetch(Jobs.Stored stored, Device device) {
        Ipv4 address = device.address().orElseThrow();
        Answering there = contacts.answering(stored, device, address);
        int usual = device.profile().port(Protocol.RTSP).orElse(USUAL_PORT);
        int port = there.ports().getOrDefault(Protocol.RTSP.toString(), usual);
        if (!room.tryAcquire()) {
            throw new NoPicture(Words.say("picture.busy"));
        }
        InetSocketAddress camera = new InetSocketAddress(there.host(), port);
        try (RtspRelay relay = RtspRelay.open(camera, patience)) {
            return taken(list(stored, device, relay.port()), device);
        } catch (IOException e) {
            throw new NoPicture(words("picture.no-ffmpeg", device));
        } finally {
            room.release();
        }
    }

    /** A list of one stream, as the program reads it. */
    private String list(Jobs.Stored stored, Device device, int port) {
        String path = path(device).orElseThrow();
        String signIn =
                accounts.of(stored, device)
                        .map(a -> encoded(a.user()) + ":" + encoded(a.password()) + "@")
                        .orElse("");
        return "ffconcat version 1.0\nfile 'rtsp://"
                + signIn
                + "127.0.0.1:"
                + port
                + target(path).replace("'", "%27")
                + "'\noption rtsp_transport tcp\noption fpsprobesize 0\n";
    }

    /** Without the host, which is that of the relay. */
    static String target(String path) {
        int slash = path.indexOf('/', "rtsp://".length());
        return slash < 0 ? "/" : path.substring(slash);
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private List<String> command() {
        return List.of(
                program,
                "-hide_banner",
                "-loglevel",
                "quiet",
                "-threads",
                "1",
                "-fpsprobesize",
                "0",
                "-protocol_whitelist",
                "pipe,fd,rtsp,rtp,tcp",
                "-f",
                "concat",
                "-safe",
                "0",
                "-i",
                "pipe:0",
                "-frames:v",
                "1",
                "-vf",
                "scale='min(960,iw)':-2",
                "-f",
                "image2pipe",
                "-c:v",
                "mjpeg",
                "pipe:1");
    }

    private byte[] taken(String list, Device device) throws IOException {
        ProcessBuilder builder =
                new ProcessBuilder(command()).redirectError(ProcessBuilder.Redirect.DISCARD);
        // The keys of this server are none of its business.
        builder.environment().clear();
        Process ffmpeg = builder.start();
        ScheduledFuture<?> end = timer.schedule(() -> end(ffmpeg), patience, TimeUnit.MILLISECONDS);
        try (InputStream out = ffmpeg.getInputStream()) {
            try (OutputStream in = ffmpeg.getOutputStream()) {
                in.write(list.getBytes(StandardCharsets.UTF_8));
            }
            byte[] picture = out.readNBytes(MOST_OCTETS + 1);
            if (picture.length == 0 || picture.length > MOST_OCTETS) {
                throw new NoPicture(words("picture.no-stream", device));
            }
            return picture;
        } catch (IOException brokenOff) {
            throw new NoPicture(words("picture.no-stream", device));
        } finally {
            end.cancel(false);
            end(ffmpeg);
        }
    }

    /** With whatever it began itself, which would hold its output open. */
    private static void end(Process program) {
        program.descendants().forEach(ProcessHandle::destroyForcibly);
        program.destroyForcibly();
    }

    @PreDestroy
    void close() {
        timer.shutdownNow();
    }

    private static String words(String key, Device device) {
        return Words.say(key, Map.of("device", device.name()));
    }
}
