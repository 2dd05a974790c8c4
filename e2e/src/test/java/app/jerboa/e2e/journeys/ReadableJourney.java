package app.jerboa.e2e.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRuleOptions;
import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

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
                    "addresses?tab=as-found",
                    "bring-up",
                    "desk",
                    "shots",
                    "paint",
                    "prove",
                    "wire",
                    "logbook",
                    "people");

    /**
     * Who speaks to the page says what stands there: it is part of the name. The checker holds this
     * rule of level A for an experiment, so that it is asked for by its name.
     */
    private static final AxeRunOptions SPOKEN = new AxeRunOptions();

    static {
        AxeRuleOptions on = new AxeRuleOptions();
        on.setEnabled(true);
        SPOKEN.setRules(Map.of("label-content-name-mismatch", on));
    }

    /** Every rule of levels A and AA up to WCAG 2.2. */
    private static final List<String> RULES =
            List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22a", "wcag22aa");

    private static final List<String> CONTRAST = List.of("color-contrast");

    /** Rows of a table are alike: what holds of the first holds of all. */
    private static final String FURTHER_ROWS = "tbody tr:nth-child(n+5)";

    @Test
    void pagesAreReadableAndFitTheirScreens() {
        long job = user.freshJob();
        Set<String> titles = new HashSet<>();
        for (String page : PAGES) {
            user.open(job, page);
            user.settled();
            titles.add(user.page.title());
            readable(page + " by day", RULES);
            atDusk(page);
            fits(page, 1280);
            user.page.setViewportSize(1024, 768);
            user.settled();
            fits(page, 1024);
            user.page.setViewportSize(1280, 800);
        }
        // Both tables of addresses are one page.
        assertThat(titles)
                .hasSize(PAGES.size() - 1)
                .contains("Line-up · Quillhaven Curling Hall · Jerboa");
        user.page.setViewportSize(390, 844);
        user.open(job, "bring-up");
        user.settled();
        fits("bring-up", 390);
    }

    /** The dark look has other colours and nothing else. */
    private static void atDusk(String page) {
        look(ColorScheme.DARK);
        readable(page + " at dusk", CONTRAST);
        look(ColorScheme.LIGHT);
    }

    private static void look(ColorScheme scheme) {
        user.page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
        user.settled();
    }

    private static void readable(String page, List<String> rules) {
        // No page has frames of its own: the checker need not open a page to put their parts
        // together.
        AxeBuilder checker = new AxeBuilder(user.page).setLegacyMode(true).exclude(FURTHER_ROWS);
        checker =
                rules.equals(CONTRAST)
                        ? checker.withRules(rules)
                        : checker.options(SPOKEN).withTags(rules);
        var found =
                checker.analyze().getViolations().stream()
                        .filter(
                                v ->
                                        v.getImpact().equals("serious")
                                                || v.getImpact().equals("critical"))
                        .map(v -> v.getId() + ": " + v.getNodes().get(0).getHtml())
                        .toList();
        assertThat(found).as(page).isEmpty();
    }

    private static void fits(String page, int width) {
        Object tooWide =
                user.page.evaluate(
                        "() => [...document.querySelectorAll('main, main *')].filter(e => e.getBoundingClientRect().right > innerWidth + 1 && !e.closest('svg, [data-scrolls]')).map(e => e.tagName + ' ' + e.className).slice(0, 3)");
        assertThat((List<?>) tooWide).as(page + " at " + width).isEmpty();
    }
}
