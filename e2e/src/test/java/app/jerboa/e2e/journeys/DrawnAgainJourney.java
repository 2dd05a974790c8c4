package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.jerboa.e2e.harness.DrawnCells;
import org.junit.jupiter.api.Test;

/**
 * One changed value draws its own row anew, not its table: pages of thousands of rows live by it.
 */
class DrawnAgainJourney extends Jerboa {
    private static final int ROWS = 2;

    private void address(long job, String before, String after) {
        user.setAddress(job, "L2", before, after);
        assertThat(user.page.locator("table")).containsText(after);
        user.settled();
    }

    @Test
    void oneAddressDrawsItsOwnRow() {
        long job = user.freshJob();
        DrawnCells cells = new DrawnCells(user.page);
        for (String page : new String[] {"", "addresses"}) {
            user.open(job, page);
            user.settled();
            int columns = user.row("L2").locator("td").count();
            assertTrue(cells.there() > 10 * columns, "there is a table on /" + page);
            cells.drawn();
            address(job, "10.44.8.22", "10.44.8.19");
            int drawn = cells.drawn();
            address(job, "10.44.8.19", "10.44.8.22");
            assertAll(
                    () -> assertTrue(drawn > 0, "/" + page + " shows the change"),
                    () ->
                            assertTrue(
                                    drawn <= ROWS * columns,
                                    drawn + " cells were drawn on /" + page));
        }
    }
}
