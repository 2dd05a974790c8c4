package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SignIn;
import app.jerboa.core.profile.WebControl;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.secrets.DeviceAccounts;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.WireLogs;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.http.Values;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.http.DeviceHttp;
import app.jerboa.wire.link.net.TcpStream;
import app.jerboa.wire.link.panel.PanelLink;
import app.jerboa.wire.panel.PanelMessage;
import jakarta.annotation.PreDestroy;
import java.net.InetSocketAddress;
import java.time.InstantSource;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.springframework.stereotype.Component;

/**
 * Connections to web servers and panel links of devices, kept for a while after their last use: a
 * sign-in for each turn of a knob would be slow, and some devices have room for one panel only.
 */
@Component
class TellingLinks {
    private final Contacts contacts;
    private final DeviceAccounts accounts;
    private final WireLogs logs;
    private final Certificates certificates;
    private final PushedValues pushed;
    private final HeldPanels heldPanels = new HeldPanels(InstantSource.system());
    private final InstantSource clock = InstantSource.system();
    private final KeptLinks<Key> kept;

    /** Accounts that a device did not let in: tried again only when somebody presses for it. */
    private final Set<Key> notLetIn = ConcurrentHashMap.newKeySet();

    private final ScheduledExecutorService timer =
            Executors.newScheduledThreadPool(
                    1,
                    task -> {
                        Thread thread = new Thread(task, "panels");
                        thread.setDaemon(true);
                        return thread;
                    });

    /** The same device, asked the same way by the same account. */
    private record Key(long job, long device, InetSocketAddress at, Tongue tongue, int account) {}

    TellingLinks(
            Contacts contacts,
            DeviceAccounts accounts,
            WireLogs logs,
            Certificates certificates,
            PushedValues pushed) {
        this.contacts = contacts;
        this.accounts = accounts;
        this.logs = logs;
        this.certificates = certificates;
        this.pushed = pushed;
        this.kept = new KeptLinks<>(clock, timer);
    }

    /** A web server, and what is noted when it does not let us in. */
    record Web(DeviceHttp http, Runnable notLetIn) {}

    /**
     * The web server of a device.
     *
     * @param pressed somebody asks for it just now; a page that reads again by itself does not
     * @throws NotTold when no password is kept that it wants
     * @throws app.jerboa.server.platform.Problem when it cannot be reached
     */
    Web http(Jobs.Stored stored, Device device, boolean pressed) {
        return http(stored, device, device.profile().web().orElseThrow(), pressed);
    }

    /** The same for its page, which is there also where it takes no requests for control. */
    Web page(Jobs.Stored stored, Device device) {
        return page(stored, device, true);
    }

    /** The same, asked by a page that shows its picture again and again. */
    Web picture(Jobs.Stored stored, Device device) {
        return page(stored, device, false);
    }

    private Web page(Jobs.Stored stored, Device device, boolean pressed) {
        WebControl web =
                device.profile()
                        .web()
                        .orElse(new WebControl(false, SignIn.DIGEST, Optional.empty(), false));
        return http(stored, device, web, pressed);
    }

    private Web http(Jobs.Stored stored, Device device, WebControl web, boolean pressed) {
        InetSocketAddress at = at(stored, device, Protocol.WEB);
        Optional<DeviceAccounts.Account> account = account(stored, device, web.signIn());
        Key key = key(stored, device, at, Tongue.HTTP, account);
        insistThatItMay(key, device, pressed);
        DeviceHttp http =
                kept.get(
                        key,
                        DeviceHttp.class,
                        () ->
                                new DeviceHttp(
                                        at,
                                        web.tls(),
                                        certificates.of(stored, device),
                                        account.map(a -> account(web, a))
                                                .orElse(DeviceHttp.Account.NOBODY),
                                        web.oneAtATime(),
                                        clock,
                                        log(stored, device)));
        return new Web(http, () -> notLetIn.add(key));
    }

    /** Devices lock after a few: a wrong password is not tried again by itself. */
    private void insistThatItMay(Key key, Device device, boolean pressed) {
        if (pressed) {
            notLetIn.remove(key);
        } else if (notLetIn.contains(key)) {
            throw new NotTold(
                    "not-let-in", Words.say("told.not-tried", Map.of("device", device.name())));
        }
    }

    private static DeviceHttp.Account account(WebControl web, DeviceAccounts.Account who) {
        Optional<HttpMessage> signIn =
                web.signInCall()
                        .map(
                                c ->
                                        Requests.template(c)
                                                .fill(Values.account(who.user(), who.password())));
        return new DeviceHttp.Account(who.user(), who.password(), signIn);
    }

    private Optional<DeviceAccounts.Account> account(
            Jobs.Stored stored, Device device, SignIn how) {
        return how == SignIn.NOBODY ? Optional.empty() : Optional.of(needed(stored, device));
    }

    private DeviceAccounts.Account needed(Jobs.Stored stored, Device device) {
        return accounts.of(stored, device)
                .orElseThrow(
                        () ->
                                new NotTold(
                                        "no-password",
                                        Words.say(
                                                "told.no-password",
                                                Map.of("device", device.name()))));
    }

    /**
     * The panel link of a device: one to one where it has that and no other panel holds it, else
     * through its server.
     *
     * @throws NotTold when it does not let us in
     * @throws app.jerboa.server.platform.Problem when it cannot be reached
     */
    PanelLink panel(Jobs.Stored stored, Device device, boolean pressed) {
        boolean serves = device.profile().port(Protocol.PANEL_SERVER).isPresent();
        boolean oneToOne = device.profile().port(Protocol.PANEL_LINK).isPresent();
        if (!oneToOne || serves && heldPanels.held(stored.id(), device.id().value())) {
            return panel(stored, device, Protocol.PANEL_SERVER, pressed);
        }
        try {
            return panel(stored, device, Protocol.PANEL_LINK, pressed);
        } catch (NotTold e) {
            if (!serves || !e.code().equals(NotTold.HELD)) {
                throw e;
            }
            heldPanels.note(stored.id(), device.id().value());
            return panel(stored, device, Protocol.PANEL_SERVER, pressed);
        }
    }

    private PanelLink panel(Jobs.Stored stored, Device device, Protocol protocol, boolean pressed) {
        InetSocketAddress at = at(stored, device, protocol);
        DeviceAccounts.Account who = needed(stored, device);
        Key key = key(stored, device, at, Tongue.PANEL_LINK, Optional.of(who));
        insistThatItMay(key, device, pressed);
        PanelLink link =
                kept.get(
                        key,
                        PanelLink.class,
                        () ->
                                new PanelLink(
                                        TcpStream.open(at, timer),
                                        new PanelMessage.SignIn(who.user(), who.password()),
                                        timer,
                                        clock,
                                        log(stored, device),
                                        () -> pushed.heard(stored.id())));
        try {
            Patience.with(device.name(), "sign-in", link.ready());
        } catch (NotTold e) {
            kept.drop(key::equals);
            if (link.held()) {
                throw new NotTold(NotTold.HELD, e.getMessage());
            } else if (e.code().equals("refused")) {
                notLetIn.add(key);
            }
            throw e;
        }
        return link;
    }

    private static Key key(
            Jobs.Stored stored,
            Device device,
            InetSocketAddress at,
            Tongue tongue,
            Optional<DeviceAccounts.Account> account) {
        int secret = account.map(a -> (a.user() + '\n' + a.password()).hashCode()).orElse(0);
        return new Key(stored.id(), device.id().value(), at, tongue, secret);
    }

    private InetSocketAddress at(Jobs.Stored stored, Device device, Protocol protocol) {
        Ipv4 address =
                device.address()
                        .orElseThrow(
                                () ->
                                        Contacts.cannot(
                                                Words.say(
                                                        "drive.no-address",
                                                        Map.of("device", device.name()))));
        Answering answering = contacts.answering(stored, device, address);
        Integer port = answering.ports().get(protocol.toString());
        if (port == null) {
            throw contacts.noPort(device, address);
        }
        return new InetSocketAddress(answering.host(), port);
    }

    private WireLog log(Jobs.Stored stored, Device device) {
        return logs.of(stored.id(), device.id().value());
    }

    /** What is forgotten of a device is had anew: another certificate may be its own now. */
    void forget(long job, long device) {
        kept.drop(k -> k.job() == job && k.device() == device);
    }

    @PreDestroy
    void closeAll() {
        timer.shutdownNow();
        kept.drop(all -> true);
    }
}
