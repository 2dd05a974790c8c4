package app.jerboa.core.job;

import java.util.List;
import java.util.Optional;

/** Items in the order of their ids, looked through by halving. */
final class ById {
    private ById() {}

    static Optional<JobItem> find(List<? extends JobItem> items, long id) {
        int low = 0;
        int high = items.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (items.get(middle).ref().id() < id) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return Optional.of(low)
                .filter(at -> at < items.size())
                .<JobItem>map(items::get)
                .filter(i -> i.ref().id() == id);
    }
}
