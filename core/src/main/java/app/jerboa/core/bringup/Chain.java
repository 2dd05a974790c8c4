package app.jerboa.core.bringup;

import java.util.List;

/**
 * The work on one device, in its order.
 *
 * @param tasks what is left of it
 * @param ready seconds from now until the first of them may start
 * @param rivals number of the group of devices that must not be connected together; -1 for none
 * @param opens index of the task from whose start no rival may be connected; -1 when that is behind
 * @param frees index of the task after whose boot a rival may come; -1 when that is behind
 * @param settles index of the task after whose boot the device is at its place; -1 when it is
 * @param after chains that must be settled before this one opens
 */
record Chain(
        List<Task> tasks,
        int ready,
        int rivals,
        int opens,
        int frees,
        int settles,
        List<Integer> after) {

    int size() {
        return tasks.size();
    }

    /** Seconds from the start of a task to the end of all, boots included. */
    int tail(int from) {
        int sum = 0;
        for (int k = from; k < tasks.size(); k++) {
            sum += tasks.get(k).seconds() + (k + 1 < tasks.size() ? tasks.get(k).boot() : 0);
        }
        return sum;
    }
}
