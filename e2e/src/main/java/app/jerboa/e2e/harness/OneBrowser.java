package app.jerboa.e2e.harness;

import com.google.gson.JsonObject;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A browser with one page, which is used again and again: a page of its own for each journey would
 * read and translate the whole client anew, about half a second of a core.
 */
final class OneBrowser implements AutoCloseable {
    private static final List<String> FLAGS =
            List.of(
                    "--no-sandbox",
                    "--disable-gpu",
                    "--disable-quic",
                    "--no-first-run",
                    "--disable-background-networking",
                    "--disable-component-update",
                    "--disable-sync");

    /** A profile that goes with the browser. */
    private static final Path PASSING = Path.of("");

    /** Browsers that were there before this one. */
    private final Set<Long> before =
            ProcessHandle.current()
                    .descendants()
                    .map(ProcessHandle::pid)
                    .collect(Collectors.toSet());

    private final Playwright playwright = Playwright.create();
    private final BrowserContext context;
    private Page page;
    private boolean closed;

    OneBrowser() {
        String chromium = System.getenv().getOrDefault("CHROMIUM", "/usr/bin/chromium");
        context =
                playwright
                        .chromium()
                        .launchPersistentContext(
                                PASSING,
                                new BrowserType.LaunchPersistentContextOptions()
                                        .setExecutablePath(Path.of(chromium))
                                        .setArgs(FLAGS)
                                        .setReducedMotion(ReducedMotion.REDUCE));
        context.setDefaultTimeout(Shown.MILLIS);
        context.onClose(c -> closed = true);
        page = context.pages().get(0);
    }

    Page page() {
        return page;
    }

    BrowserContext context() {
        return context;
    }

    /**
     * As if nobody had been here: other pages are closed, and what this site had kept is gone. One
     * that was closed itself is opened anew.
     *
     * @param origin of the site, such as http://127.0.0.1:8470
     */
    void forget(String origin) {
        if (page.isClosed()) {
            page = context.newPage();
        }
        context.pages().stream().filter(p -> !p.equals(page)).forEach(Page::close);
        context.setOffline(false);
        if (page.url().startsWith(origin)) {
            page.evaluate("() => sessionStorage.clear()");
        }
        page.unrouteAll();
        page.navigate("about:blank");
        context.clearCookies();
        context.clearPermissions();
        JsonObject kept = new JsonObject();
        kept.addProperty("origin", origin);
        kept.addProperty("storageTypes", "local_storage,indexeddb,cache_storage,service_workers");
        CDPSession session = context.newCDPSession(page);
        session.send("Storage.clearDataForOrigin", kept);
        session.detach();
    }

    boolean alive() {
        return !closed;
    }

    /** As a crash does it: every process of this browser ends without a word. */
    void kill() {
        ProcessHandle.current()
                .descendants()
                .filter(p -> p.info().command().filter(c -> c.contains("chrom")).isPresent())
                .filter(p -> !before.contains(p.pid()))
                .forEach(ProcessHandle::destroyForcibly);
    }

    @Override
    public void close() {
        try {
            playwright.close();
        } catch (PlaywrightException killed) {
            // There is no browser left to close.
            return;
        }
    }
}
