package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.server.desk.BorrowedLinks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.PageVisit;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Contacts;
import app.jerboa.wire.visca.Version;
import java.util.Map;
import java.util.concurrent.CompletionException;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** What a device itself tells: its firmware, and whether it lets us in. */
@Component
class DeviceTests {
    private static final int PATIENCE_SECONDS = 3;
    private static final int OCTET = 256;

    private final BorrowedLinks links;
    private final Contacts contacts;
    private final PageVisit page;

    DeviceTests(BorrowedLinks links, Contacts contacts, PageVisit page) {
        this.links = links;
        this.contacts = contacts;
        this.page = page;
    }

    /** It has a message that asks for its version, and a way for it. */
    static boolean tellsFirmware(DeskWay way) {
        return way.leads() && !way.onBus();
    }

    static boolean hasPage(Device device) {
        return PageVisit.has(device);
    }

    /** The version that VISCA tells: a number of two octets, read as two numbers with a dot. */
    Verdict firmware(Jobs.Stored stored, Device device) {
        try {
            Version told =
                    links.asking(
                            stored,
                            device,
                            link ->
                                    link.askVersion()
                                            .orTimeout(PATIENCE_SECONDS, TimeUnit.SECONDS)
                                            .join());
            String found = told.rom() / OCTET + "." + told.rom() % OCTET;
            boolean right = device.firmware().isBlank() || device.firmware().equals(found);
            return new Verdict(
                    right ? Outcome.OK : Outcome.DIFFERS, found, Words.say("prove.did.firmware"));
        } catch (Problem e) {
            return Verdict.cannotTell(e.getMessage());
        } catch (CompletionException e) {
            return Verdict.cannotTell(words("prove.no-version", device));
        }
    }

    /** Signed in once, and only where its MAC says that it is the device of the plan. */
    Verdict access(Jobs.Stored stored, Device device) {
        try {
            if (device.address().isEmpty()) {
                return Verdict.cannotTell(Words.say("prove.no-address"));
            }
            if (!contacts.known(stored, device)) {
                return Verdict.cannotTell(words("prove.not-identified", device));
            }
            return switch (page.visit(stored, device)) {
                case IN -> Verdict.ok("", Words.say("prove.did.access"));
                case NOT_LET_IN -> Verdict.differs("", words("prove.wrong-password", device));
                case OTHER_CERTIFICATE ->
                        Verdict.differs("", words("prove.other-certificate", device));
                case NO_PASSWORD -> Verdict.cannotTell(words("prove.no-password", device));
                case NO_PAGE -> Verdict.cannotTell(words("prove.no-page", device));
                case SILENT -> Verdict.failed("", words("prove.page-silent", device));
            };
        } catch (Problem e) {
            return Verdict.cannotTell(e.getMessage());
        }
    }

    private static String words(String key, Device device) {
        String wayBack = device.profile().recovery().map(r -> r.lostPassword()).orElse("");
        return Words.say(key, Map.of("device", device.name(), "back", wayBack));
    }
}
