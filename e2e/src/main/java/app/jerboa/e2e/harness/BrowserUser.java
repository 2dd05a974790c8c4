package app.jerboa.e2e.harness;

import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.RequestOptions;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A user at a browser: signs in, opens pages, presses what is labelled so. */
public final class BrowserUser extends JobMaker implements AutoCloseable {
    private static final int MOST_TRIES = 400;
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private final OneBrowser browser = new OneBrowser();
    private final Programs programs;
    private final UnaryOperator<String> url;
    private final Set<Request> pending = new HashSet<>();
    public Page page = browser.page();

    public BrowserUser(Programs programs) {
        this(programs, programs::url);
    }

    /** A browser at another server than the first. */
    public BrowserUser(Programs programs, UnaryOperator<String> url) {
        this.programs = programs;
        this.url = url;
        PlaywrightAssertions.setDefaultAssertionTimeout(Shown.MILLIS);
        follow(page);
        sitDown(ColorScheme.LIGHT, 1280, 800);
    }

    /** As if nobody had been here; its user wants little motion. */
    public void sitDown(ColorScheme scheme, int width, int height) {
        browser.forget(url.apply(""));
        if (!page.equals(browser.page())) {
            page = browser.page();
            follow(page);
        }
        page.setViewportSize(width, height);
        page.emulateMedia(
                new Page.EmulateMediaOptions()
                        .setColorScheme(scheme)
                        .setReducedMotion(ReducedMotion.REDUCE));
    }

    /** From now on this page moves as it does for most people: what opens, opens slowly. */
    public void withMotion() {
        page.emulateMedia(
                new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.NO_PREFERENCE));
    }

    public void signIn() {
        signIn("asha");
    }

    /**
     * Past the form: how people sign in is a journey of its own. No page is loaded yet: most
     * journeys open the one they need.
     */
    public void signIn(String login) {
        page.request().get(url.apply("/auth/session"));
        send(
                "POST",
                "/auth/session",
                "{\"login\":\"" + login + "\",\"password\":\"" + Programs.PASSWORD + "\"}");
    }

    public void openJobs() {
        page.navigate(url.apply("/jobs"));
        Shown.assertThat(
                        page.getByRole(
                                AriaRole.HEADING, new Page.GetByRoleOptions().setName("Jobs")))
                .isVisible();
    }

    @Override
    public JsonNode send(String method, String path, String body) {
        String token =
                browser.context().cookies().stream()
                        .filter(c -> c.name.equals("XSRF-TOKEN"))
                        .findFirst()
                        .orElseThrow()
                        .value;
        RequestOptions options =
                RequestOptions.create().setMethod(method).setHeader("X-XSRF-TOKEN", token);
        if (!method.equals("GET")) {
            options.setHeader("Content-Type", "application/json").setData(body);
        }
        return JSON.readTree(page.request().fetch(url.apply(path), options).text());
    }

    public static JsonNode json(String text) {
        return JSON.readTree(text);
    }

    /** Lets this login into a job, past the pages. */
    public void letIn(long job, String role, BrowserUser other) {
        String path =
                send(
                                "POST",
                                "/api/jobs/" + job + "/people/invitations",
                                "{\"role\":\"" + role + "\",\"days\":1}")
                        .get("path")
                        .asString();
        other.send("POST", "/auth/invitations/" + path.replace("/invitation/", "") + "/join", "{}");
    }

    /** Takes the network away from this browser, or gives it back. */
    public void offline(boolean away) {
        browser.context().setOffline(away);
    }

    /**
     * A job whose cameras are all up at their planned addresses, done through the rig without the
     * pages.
     */
    public long broughtUpJob() {
        long job = fourCameras();
        bringUp(job);
        return job;
    }

    /** The demo with its typed address put right, all of it brought up and powered. */
    public long wholeHall() {
        long job = freshJob();
        setAddress(job, "L4", "10.44.8.33", "10.44.8.24");
        bringUp(job);
        programs.speed(1000);
        for (String name : List.of("L10", "L11", "L12", "L13")) {
            plug(job, name);
        }
        serialHeads(job);
        booted(job);
        return job;
    }

    /** It comes into sight within so long. */
    public static boolean appears(Locator what, int millis) {
        try {
            what.first().waitFor(new Locator.WaitForOptions().setTimeout(millis));
            return true;
        } catch (TimeoutError e) {
            return false;
        }
    }

    /**
     * The same without the steps: each device of the hall is given its planned address and its
     * power, past the pages.
     */
    public long setHall() {
        long job = freshJob();
        setAddress(job, "L4", "10.44.8.33", "10.44.8.24");
        programs.speed(1000);
        send("GET", "/api/jobs/" + job + "/rig", "");
        programs.rig("PUT", "/halls/" + job + "/begin", "{\"how\":\"as-planned\"}");
        serialHeads(job);
        booted(job);
        return job;
    }

    /** Until nothing boots in the hall any more, at a thousand times its pace. */
    public void booted(long job) {
        programs.speed(1000);
        await().atMost(Duration.ofMinutes(2))
                .pollInSameThread()
                .until(
                        () ->
                                !send("GET", "/api/jobs/" + job + "/rig", "")
                                        .toString()
                                        .contains("booting"));
        programs.speed(1);
    }

    /** Each step by the rig's hands where there are some, else ticked, and checked. */
    public void bringUp(long job) {
        programs.speed(1000);
        String path = "/api/jobs/" + job + "/bring-up";
        JsonNode view = send("POST", path + "/start", "{\"method\":\"hop\",\"workshop\":false}");
        int last = -1;
        int times = 0;
        while (!view.get("finished").asBoolean()) {
            int step = view.get("current").asInt();
            times = step == last ? times + 1 : 0;
            last = step;
            if (times > MOST_TRIES) {
                throw new IllegalStateException(
                        "step " + step + " is never done: " + view.get("now"));
            }
            if (view.get("now").get("hands").asBoolean()) {
                send("POST", path + "/steps/" + step + "/rig-hands", "{}");
            }
            JsonNode outcome = send("POST", path + "/steps/" + step + "/check", "{}");
            if (outcome.path("code").asString("").equals("not-this-step")) {
                // Whoever watches was faster.
                view = send("GET", path, "");
                continue;
            }
            if (!outcome.has("view")) {
                throw new IllegalStateException("step " + step + ": " + outcome);
            }
            view = outcome.get("view");
        }
        programs.speed(1);
    }

    /**
     * What the plan leaves undone on purpose: the dome has a supply of its own, and the leads of
     * the serial heads are on the serial server.
     */
    private void serialHeads(long job) {
        String hall = "/halls/" + job;
        long dome = device(job, "L13");
        programs.rig("PUT", hall + "/devices/" + dome + "/power", "{\"on\":true}");
        for (String name : List.of("L10", "L11", "L12", "L13")) {
            programs.rig("POST", hall + "/devices/" + device(job, name) + "/in-reach", "");
        }
        for (String name : List.of("L10", "L13")) {
            String lead = "/api/jobs/" + job + "/rig/devices/" + device(job, name) + "/lead";
            send("PUT", lead, "{}");
        }
    }

    /** Gives a device of the hall its power. */
    public void plug(long job, String name) {
        send(
                "PUT",
                "/api/jobs/" + job + "/rig/devices/" + device(job, name) + "/plug",
                "{\"plugged\":true}");
    }

    /**
     * As people do: by its link where another page of the job is open already, else by its address.
     */
    public void open(long job, String stage) {
        String address = url.apply("/jobs/" + job + "/" + stage);
        Locator link =
                page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stages"))
                        .locator(
                                "a[href='"
                                        + "/jobs/"
                                        + job
                                        + (stage.isEmpty() ? "" : "/")
                                        + stage
                                        + "']");
        boolean another = !page.url().split("[?#]", -1)[0].equals(address);
        if (another && link.count() > 0) {
            String name = link.innerText().lines().findFirst().orElseThrow();
            link.click();
            // Until then the page before is still shown.
            Shown.assertThat(page).hasTitle(Pattern.compile("^" + name + " · "));
        } else {
            page.navigate(address);
        }
        Shown.assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .isVisible();
    }

    /** Until the page shows what it asked for: no answer is open, the letters are there. */
    public void settled() {
        try {
            page.waitForCondition(pending::isEmpty);
        } catch (TimeoutError e) {
            List<String> open = pending.stream().map(r -> r.method() + " " + r.url()).toList();
            throw new IllegalStateException("still open after all this time: " + open, e);
        }
        page.waitForFunction("() => document.fonts.status === 'loaded'");
        page.evaluate(
                "() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(() => done())))");
        page.waitForCondition(pending::isEmpty);
        // Half way from one colour to another nothing is readable; what turns for ever is left.
        page.evaluate(
                "() => document.getAnimations().filter(a => a.effect?.getTiming().iterations !== Infinity).forEach(a => a.finish())");
    }

    private void follow(Page watched) {
        watched.onRequest(
                r -> {
                    // A page that is left while its letters come never tells that they came.
                    boolean waited = !r.url().contains("/events");
                    if (waited && !r.resourceType().equals("font")) {
                        pending.add(r);
                    }
                });
        // What a page that is left had asked for is answered to nobody, and nobody is told that.
        watched.onResponse(
                r -> {
                    if (r.request().isNavigationRequest()) {
                        pending.removeIf(p -> !p.equals(r.request()));
                    }
                });
        watched.onRequestFinished(pending::remove);
        watched.onRequestFailed(pending::remove);
    }

    /** Its browser still runs. */
    public boolean alive() {
        return browser.alive();
    }

    /** As a crash does it: its browser ends without a word. */
    public void kill() {
        browser.kill();
    }

    /** By its name; one that shows a value says it behind. */
    public Locator button(String name) {
        Page.GetByRoleOptions named = new Page.GetByRoleOptions();
        if (name.startsWith("Change: ") || name.startsWith("Facts of ")) {
            named.setName(
                    Pattern.compile("^" + name.replaceAll("[^A-Za-z0-9 ]", "\\\\$0") + "($|:? )"));
        } else {
            named.setName(name).setExact(true);
        }
        return page.getByRole(AriaRole.BUTTON, named);
    }

    public void press(String name) {
        button(name).click();
    }

    public Locator row(String name) {
        return page.locator("tr[data-row='" + name + "']");
    }

    @Override
    public void close() {
        browser.close();
    }
}
