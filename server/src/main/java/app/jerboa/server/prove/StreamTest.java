package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.StreamCodec;
import app.jerboa.core.profile.Video;
import app.jerboa.core.prove.StreamTold;
import app.jerboa.core.video.PictureSize;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.secrets.DeviceAccounts;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Contacts;
import app.jerboa.wire.link.rtsp.RtspReader;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.rtsp.SdpPicture;
import java.net.InetSocketAddress;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Asks a camera to describe its network picture (RTSP DESCRIBE); no picture is fetched. */
@Component
class StreamTest {
    private static final int PATIENCE_MILLIS = 2000;
    private static final int USUAL_PORT = 554;
    private static final int FOUND = 200;
    private static final int UNAUTHORIZED = 401;

    private final Contacts contacts;
    private final DeviceAccounts accounts;

    StreamTest(Contacts contacts, DeviceAccounts accounts) {
        this.contacts = contacts;
        this.accounts = accounts;
    }

    Verdict test(Jobs.Stored stored, Device device) {
        Optional<Ipv4> address = device.address();
        Optional<Video> video = device.profile().video();
        if (address.isEmpty() || video.isEmpty()) {
            return Verdict.cannotTell(Words.say("prove.no-address"));
        }
        if (!video.get().streamPath().startsWith("rtsp:")) {
            return Verdict.cannotTell(Words.say("prove.no-rtsp"));
        }
        try {
            return judged(device, video.get(), described(stored, device, address.get()));
        } catch (Problem e) {
            return Verdict.cannotTell(e.getMessage());
        } catch (NoAnswer e) {
            return Verdict.failed("", e.getMessage());
        }
    }

    private RtspReader.Answer described(Jobs.Stored stored, Device device, Ipv4 address) {
        Answering there = contacts.answering(stored, device, address);
        int usual = device.profile().port(Protocol.RTSP).orElse(USUAL_PORT);
        int port = there.ports().getOrDefault(Protocol.RTSP.toString(), usual);
        String uri =
                device.profile()
                        .video()
                        .orElseThrow()
                        .streamPath()
                        .replace("{address}", address.toString())
                        .replace("{port}", Integer.toString(usual));
        Optional<RtspReader.Account> account =
                accounts.of(stored, device)
                        .map(a -> new RtspReader.Account(a.user(), a.password()));
        return RtspReader.describe(
                new InetSocketAddress(there.host(), port), uri, account, PATIENCE_MILLIS);
    }

    private static Verdict judged(Device device, Video video, RtspReader.Answer answer) {
        if (answer.status() == UNAUTHORIZED) {
            return Verdict.cannotTell(
                    Words.say("prove.not-let-in", Map.of("device", device.name())));
        }
        if (answer.status() != FOUND) {
            return Verdict.failed(
                    Integer.toString(answer.status()),
                    Words.say("prove.no-stream-there", Map.of("device", device.name())));
        }
        SdpPicture p = SdpPicture.read(answer.body());
        StreamTold told =
                new StreamTold(
                        p.codec().map(c -> codec(c)),
                        p.size().map(s -> new StreamTold.Pixels(s.width(), s.height())),
                        p.rate());
        List<String> other =
                told.otherThan(
                        video.codecs().stream().map(StreamCodec::toString).toList(),
                        planned(device));
        String value = words(told);
        return other.isEmpty()
                ? Verdict.ok(value, Words.say("prove.did.stream"))
                : Verdict.differs(
                        value,
                        Words.say(
                                "prove.stream-differs", Map.of("what", String.join(", ", other))));
    }

    /** Motion JPEG is called JPEG in a description. */
    private static String codec(String told) {
        return told.equals("JPEG") ? "mjpeg" : told.toLowerCase(Locale.ROOT);
    }

    private static Optional<PictureSize> planned(Device device) {
        return device.format().isEmpty()
                ? Optional.empty()
                : Optional.of(PictureSize.of(device.format()));
    }

    private static String words(StreamTold told) {
        String none = Words.say("prove.not-told");
        return Words.say(
                "prove.stream",
                Map.of(
                        "codec", told.codec().orElse(none),
                        "size",
                                told.size()
                                        .map(s -> s.width() + " x " + s.height() + " px")
                                        .orElse(none),
                        "rate",
                                told.rate().isPresent()
                                        ? String.format(
                                                Locale.ROOT, "%.4g/s", told.rate().getAsDouble())
                                        : none));
    }
}
