package app.jerboa.bench;

import static app.jerboa.bench.Pauses.pause;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import java.time.Instant;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * From a key press in the browser to the drive frame at the stand-in's socket. The browser stamps
 * the key event, the rig stamps the datagram; both read the clock of this machine.
 */
final class KeyToWireBench {
    private static final int WARM_UP = 30;

    private KeyToWireBench() {}

    /**
     * @param whole from the key event to the datagram
     * @param browser the part of it until the page's code sees the event
     */
    record Times(Sample whole, Sample browser) {}

    static Times measure(int rounds) {
        try (Programs programs = new Programs(true);
                BrowserUser desk = new BrowserUser(programs)) {
            desk.signIn();
            long job = desk.broughtUpJob();
            desk.open(job, "desk");
            desk.page.locator("[aria-label=Cameras] button").first().click();
            desk.page.locator("[data-reading=Pan]").waitFor();
            desk.page.evaluate(
                    "() => addEventListener('keydown', e => { window.pressed = performance.timeOrigin + e.timeStamp; window.waited = performance.now() - e.timeStamp }, true)");
            double[] millis = new double[rounds];
            double[] waited = new double[rounds];
            for (int i = -WARM_UP; i < rounds; i++) {
                double taken = press(programs, desk, job, i % 2 == 0 ? "ArrowRight" : "ArrowLeft");
                if (i >= 0) {
                    millis[i] = taken;
                    waited[i] = ((Number) desk.page.evaluate("() => window.waited")).doubleValue();
                }
            }
            return new Times(Sample.of(millis), Sample.of(waited));
        }
    }

    private static double press(Programs programs, BrowserUser desk, long job, String key) {
        double before = lastDrive(programs, job).map(KeyToWireBench::millis).orElse(0.0);
        desk.page.keyboard().down(key);
        double heard = awaitDrive(programs, job, before, false);
        double pressed = ((Number) desk.page.evaluate("() => window.pressed")).doubleValue();
        desk.page.keyboard().up(key);
        awaitDrive(programs, job, heard, true);
        pause(60);
        return heard - pressed;
    }

    private static double awaitDrive(Programs programs, long job, double after, boolean stop) {
        for (int i = 0; i < 500; i++) {
            Optional<JsonNode> drive = lastDrive(programs, job);
            if (drive.isPresent()
                    && millis(drive.get()) > after
                    && (drive.get().get("pan").asInt() == 0) == stop) {
                return millis(drive.get());
            }
            pause(3);
        }
        throw new IllegalStateException("the stand-in heard nothing");
    }

    private static Optional<JsonNode> lastDrive(Programs programs, long job) {
        JsonNode drive =
                BrowserUser.json(programs.rig("GET", "/halls/" + job, ""))
                        .get("devices")
                        .get(0)
                        .get("lastDrive");
        return drive == null || drive.isNull() ? Optional.empty() : Optional.of(drive);
    }

    private static double millis(JsonNode drive) {
        Instant at = Instant.parse(drive.get("at").asString());
        return at.getEpochSecond() * 1e3 + at.getNano() / 1e6;
    }
}
