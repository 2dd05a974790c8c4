package app.jerboa.standin;

import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.asked.RtspEar;
import app.jerboa.standin.device.CameraMenu;
import app.jerboa.standin.device.Door;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.PanelEar;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.device.ViscaObeys;
import app.jerboa.standin.lan.RigDevice;
import app.jerboa.standin.picture.HallPicture;
import app.jerboa.standin.picture.MenuPicture;
import app.jerboa.standin.picture.Still;
import app.jerboa.standin.web.WebPort;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * What one device without a hall can be told beside VISCA, and what it shows: its web server, its
 * panel links and its stream, as far as it has them.
 */
final class AloneTold {
    private static final int RTSP_PORT = 554;
    private static final int VIEWERS = 8;
    private static final int PANELS = 8;

    private final Options options;
    private final Profile profile;
    private final WorldClock clock;
    private final AloneDevices devices;
    private final Gate gate = Gate.open(Optional.empty());
    private final Door door;

    AloneTold(Options options, Profile profile, WorldClock clock, AloneDevices devices) {
        this.options = options;
        this.profile = profile;
        this.clock = clock;
        this.devices = devices;
        String password = options.text("password").orElse(RigDevice.FACTORY_PASSWORD);
        this.door = Door.open(profile.access().map(Access::user).orElse("admin"), password);
    }

    /**
     * @return whether anything was opened
     */
    boolean open(InetAddress at, KnobBank bank, ViscaObeys head) throws IOException {
        CameraMenu menu = new CameraMenu(bank);
        bank.onVerb(menu::told);
        WebPort.Shows shows = () -> still(at, bank, menu, head);
        boolean web = profile.web().isPresent() && devices.asked(Protocol.WEB, "web");
        if (web) {
            web(at, bank, shows);
        }
        if (options.has("rtsp")) {
            stream(at, shows);
        }
        boolean panel = panels(at, bank, Protocol.PANEL_LINK, "panel-link", 1);
        boolean server = panels(at, bank, Protocol.PANEL_SERVER, "panel-server", PANELS);
        return web || panel || server || options.has("rtsp");
    }

    private void web(InetAddress at, KnobBank bank, WebPort.Shows shows) throws IOException {
        int port = options.port("web", devices.usual(Protocol.WEB));
        try {
            InetSocketAddress place = new InetSocketAddress(at, port);
            devices.opened(at, WebPort.open(place, bank, door, gate, shows), "web server");
        } catch (BindException e) {
            // Its own port is one that only root may open; the rest of it serves all the same.
            if (options.has("web")) {
                throw e;
            }
            devices.say("no web server, port " + port + " cannot be had; name one with --web");
        }
    }

    private void stream(InetAddress at, WebPort.Shows shows) throws IOException {
        Supplier<RtspEar.Picture> picture =
                () -> RtspEar.Picture.of(profile.name(), format(), profile);
        InetSocketAddress place = new InetSocketAddress(at, options.port("rtsp", RTSP_PORT));
        devices.opened(
                at,
                TcpPort.open(
                        place,
                        Protocol.RTSP,
                        VIEWERS,
                        () -> new RtspEar(picture, shows::still, door, gate)),
                "RTSP");
    }

    private boolean panels(
            InetAddress at, KnobBank bank, Protocol protocol, String option, int room)
            throws IOException {
        if (devices.usual(protocol) == 0 || !devices.asked(protocol, option)) {
            return false;
        }
        InetSocketAddress place =
                new InetSocketAddress(at, options.port(option, devices.usual(protocol)));
        devices.opened(
                at,
                TcpPort.open(
                        place,
                        protocol,
                        room,
                        () -> new PanelEar(bank, profile.name(), door, gate)),
                option.replace('-', ' '));
        return true;
    }

    /** The hall from where its address says that it hangs, or bars of one without a head. */
    private byte[] still(InetAddress at, KnobBank bank, CameraMenu menu, ViscaObeys seeing) {
        Instant now = clock.at(InstantSource.system().instant());
        if (!(seeing instanceof SimulatedHead head)) {
            return Still.of(profile.name(), format(), now, false);
        }
        int number = at.getAddress()[at.getAddress().length - 1] & 0xFF;
        BufferedImage seen =
                HallPicture.of(
                        number,
                        profile.head().orElseThrow(),
                        head.state(),
                        head.axes().getOrDefault("roll", 0.0),
                        bank,
                        now);
        MenuPicture.draw(seen, menu.lines());
        return Still.of(seen, profile.name(), format(), now, false);
    }

    private String format() {
        return profile.video().map(v -> v.formats().get(0)).orElse("");
    }
}
