package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Every page in both looks: nothing serious for the accessibility checker, nothing wider than the
 * screen.
 */
class ReadableJourney extends Jerboa {
    private static final List<String> PAGES =
            List.of(
                    "",
                    "site",
                    "kit",
                    "cabling",
                    "addresses",
                    "bring-up",
                    "desk",
                    "prove",
                    "wire",
                    "logbook",
                    "people");

    /** Every rule of levels A and AA up to WCAG 2.2. */
    private static final List<String> RULES =
            List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22a", "wcag22aa");

    private static final List<String> CONTRAST = List.of("color-contrast");

    @ParameterizedTest
    @EnumSource(
            value = ColorScheme.class,
            names = {"LIGHT", "DARK"})
    void pagesAreReadable(ColorScheme look) {
        user.sitDown(look, 1280, 800);
        user.signIn();
        long job = user.freshJob();
        for (String page : PAGES) {
            user.open(job, page);
            user.settled();
            AxeBuilder checker = new AxeBuilder(user.page);
            // The dark look has other colours and nothing else.
            checker =
                    look == ColorScheme.LIGHT
                            ? checker.withTags(RULES)
                            : checker.withRules(CONTRAST);
            var found =
                    checker.analyze().getViolations().stream()
                            .filter(
                                    v ->
                                            v.getImpact().equals("serious")
                                                    || v.getImpact().equals("critical"))
                            .map(v -> v.getId() + ": " + v.getNodes().get(0).getHtml())
                            .toList();
            assertThat(found).as(page + " " + look).isEmpty();
        }
    }

    @Test
    void pagesFitTheirScreens() {
        long job = user.freshJob();
        int[][] screens = {{1280, 800}, {1024, 768}, {390, 844}};
        for (int[] screen : screens) {
            user.page.setViewportSize(screen[0], screen[1]);
            for (String page : screen[0] < 1000 ? List.of("bring-up") : PAGES) {
                user.open(job, page);
                user.settled();
                Object tooWide =
                        user.page.evaluate(
                                "() => [...document.querySelectorAll('main, main *')].filter(e => e.getBoundingClientRect().right > innerWidth + 1 && !e.closest('svg, [data-scrolls]')).map(e => e.tagName + ' ' + e.className).slice(0, 3)");
                assertThat((List<?>) tooWide).as(page + " at " + screen[0]).isEmpty();
            }
        }
    }
}
