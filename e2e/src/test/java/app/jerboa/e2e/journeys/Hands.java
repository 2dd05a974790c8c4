package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.jerboa.e2e.harness.Desk;
import com.microsoft.playwright.Locator;

/** Hands of a technician: each click, field filled and key pressed is one action. */
final class Hands {
    private final Desk desk;
    private int pointer;
    private int keyboard;

    Hands(Desk desk) {
        this.desk = desk;
    }

    void click(String button) {
        pointer++;
        desk.press(button);
    }

    void click(Locator at) {
        pointer++;
        at.click();
    }

    /** Pastes or types a whole field. */
    void type(String text) {
        keyboard++;
        desk.page.keyboard().insertText(text);
    }

    void press(String key) {
        keyboard++;
        desk.page.keyboard().press(key);
    }

    int all() {
        return pointer + keyboard;
    }

    int keyboard() {
        return keyboard;
    }

    void newJob(String name) {
        click("New job …");
        type(name);
        press("Tab");
        type("10.10.0.0/24");
        press("Tab");
        type("10.10.0.254");
        press("Enter");
        assertThat(desk.page.getByText("Add cameras on the Kit page")).isVisible();
    }

    /** On the Kit page, from its field for "how many of what", until so many are on the van. */
    void add(String howManyOfWhat, int onTheVan) {
        type(howManyOfWhat);
        assertThat(desk.page.locator("[data-marked]")).isVisible();
        press("Enter");
        assertThat(desk.page.getByText("On the van: " + onTheVan)).isVisible();
        assertThat(desk.page.getByLabel("How many of what")).hasValue("");
    }
}
