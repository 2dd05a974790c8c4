package app.jerboa.e2e.harness;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Locator.FilterOptions;
import com.microsoft.playwright.Locator.WaitForOptions;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.assertions.PageAssertions;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;

/**
 * Playwright's assertions about what a page shows. Whenever one is not true yet, Playwright
 * describes the page for its message, which takes some 100 ms of the page's own thread: a desk that
 * waits for that misses its beat. So what is asserted is waited for before, without a word; what
 * never comes is told by the assertion.
 */
public final class Shown {
    /** A machine that is shared may give this one a quarter of its time, for many seconds. */
    static final double MILLIS = 30_000;

    private Shown() {}

    public static PageAssertions assertThat(Page page) {
        return PlaywrightAssertions.assertThat(page);
    }

    public static LocatorAssertions assertThat(Locator at) {
        LocatorAssertions own = PlaywrightAssertions.assertThat(at);
        return (LocatorAssertions)
                Proxy.newProxyInstance(
                        Shown.class.getClassLoader(),
                        new Class<?>[] {LocatorAssertions.class},
                        (proxy, method, args) -> {
                            await(at, method.getName(), args);
                            try {
                                return method.invoke(own, args);
                            } catch (InvocationTargetException e) {
                                throw e.getCause();
                            }
                        });
    }

    private static void await(Locator at, String assertion, Object... args) {
        boolean text = args != null && args.length > 0 && args[0] instanceof String;
        try {
            switch (assertion) {
                case "isVisible" -> at.waitFor(until(WaitForSelectorState.VISIBLE));
                case "isHidden" -> at.waitFor(until(WaitForSelectorState.HIDDEN));
                case "containsText", "hasText" -> {
                    if (text) {
                        at.filter(new FilterOptions().setHasText((String) args[0]))
                                .first()
                                .waitFor(until(WaitForSelectorState.ATTACHED));
                    }
                }
                default -> {
                    // Of one element, which is little to describe.
                }
            }
        } catch (PlaywrightException e) {
            // The assertion says what is there instead.
            return;
        }
    }

    private static WaitForOptions until(WaitForSelectorState state) {
        return new WaitForOptions().setState(state).setTimeout(MILLIS);
    }
}
