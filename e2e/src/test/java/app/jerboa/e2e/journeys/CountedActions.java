package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;

/** CountedActions of a technician: each click, field filled and key pressed is one action. */
final class CountedActions {
    private final BrowserUser user;
    private int pointer;
    private int keyboard;

    CountedActions(BrowserUser user) {
        this.user = user;
    }

    void click(String button) {
        pointer++;
        user.press(button);
    }

    void click(Locator at) {
        pointer++;
        at.click();
    }

    /** Pastes or types a whole field. */
    void type(String text) {
        keyboard++;
        user.page.keyboard().insertText(text);
    }

    void press(String key) {
        keyboard++;
        user.page.keyboard().press(key);
    }

    int all() {
        return pointer + keyboard;
    }

    int keyboard() {
        return keyboard;
    }

    void newJob(String name) {
        user.openJobs();
        click("New job …");
        type(name);
        press("Tab");
        type("10.10.0.0/24");
        press("Tab");
        type("10.10.0.254");
        press("Enter");
        assertThat(user.page.getByText("Add cameras on the Kit page")).isVisible();
    }

    /** On the Kit page, from its field for "how many of what", until so many are on the van. */
    void add(String howManyOfWhat, int onTheVan) {
        type(howManyOfWhat);
        assertThat(user.page.locator("[data-marked]")).isVisible();
        press("Enter");
        assertThat(user.page.getByText("On the van: " + onTheVan)).isVisible();
        assertThat(user.page.getByLabel("How many of what")).hasValue("");
    }
}
