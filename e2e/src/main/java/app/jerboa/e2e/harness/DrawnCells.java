package app.jerboa.e2e.harness;

import com.microsoft.playwright.Page;

/**
 * Counts the table cells that React draws again, whether or not anything comes out differently. It
 * listens where React tells its developer tools what it did.
 */
public final class DrawnCells {
    /** A cell was drawn again when it was given something else than at the commit before. */
    private static final String LISTENER =
            """
            window.cellsDrawn = 0;
            const look = (fiber) => {
              const before = fiber.alternate;
              if (fiber.type === 'td' && before && before.memoizedProps !== fiber.memoizedProps) window.cellsDrawn++;
              if (before && before.child === fiber.child) return;
              for (let child = fiber.child; child; child = child.sibling) look(child);
            };
            const nothing = () => {};
            window.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
              supportsFiber: true, renderers: new Map(), inject: () => 1,
              onScheduleFiberRoot: nothing, onCommitFiberUnmount: nothing, onPostCommitFiberRoot: nothing,
              onCommitFiberRoot: (id, root) => look(root.current),
            };
            """;

    private final Page page;

    /** From the next page on that is loaded. */
    public DrawnCells(Page page) {
        this.page = page;
        page.addInitScript(LISTENER);
    }

    /** All that are on the page. */
    public int there() {
        return page.locator("td").count();
    }

    /** Since it was asked last. */
    public int drawn() {
        Object count =
                page.evaluate(
                        "() => { const n = window.cellsDrawn; window.cellsDrawn = 0; return n }");
        return ((Number) count).intValue();
    }
}
