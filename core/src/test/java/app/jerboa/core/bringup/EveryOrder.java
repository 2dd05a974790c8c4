package app.jerboa.core.bringup;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The least time by trying every order of work: written from the rules alone, it shares nothing
 * with the planner but the seconds.
 */
final class EveryOrder {
    private static final int NEVER = 1 << 28;

    private final List<NewDevice> devices;
    private final BringUpMethod method;
    private final StepTimes times = StepTimes.usual();
    private final List<List<Work>> chains = new ArrayList<>();
    private boolean hopping;
    private int best;

    EveryOrder(List<NewDevice> devices, BringUpMethod method) {
        this.devices = devices;
        this.method = method;
    }

    int least() {
        if (method == BringUpMethod.HOP) {
            return least(true);
        }
        return method == BringUpMethod.PORT ? Math.min(least(true), least(false)) : least(false);
    }

    private int least(boolean hops) {
        hopping = hops;
        best = NEVER;
        chains.clear();
        int before = 0;
        for (NewDevice d : devices) {
            List<Work> chain = new ArrayList<>();
            boolean port = method == BringUpMethod.PORT && d.switchedPort();
            before += port ? times.of(Work.PLUG) : 0;
            chain.add(port ? Work.PORT : Work.PLUG);
            if (d.needs().contains(Work.RESET)) {
                chain.add(Work.RESET);
            }
            if (d.start().isPresent()) {
                d.fetched(method).ifPresent(chain::add);
            }
            chain.add(Work.SET);
            if (!hops) {
                chain.add(Work.VERIFY);
            }
            chains.add(chain);
        }
        if (!hops) {
            long subnets =
                    devices.stream()
                            .filter(d -> d.fetched(method).isEmpty())
                            .flatMap(d -> d.start().stream())
                            .map(FactoryAddress::subnet)
                            .distinct()
                            .count();
            before += (int) subnets * times.of(Work.ALIAS);
        }
        int n = devices.size();
        go(before, "", new int[n], new int[n], new int[n], new int[n]);
        return best;
    }

    private boolean leases(NewDevice d) {
        return d.fetched(method).isPresent() && d.start().isPresent();
    }

    private String place(NewDevice d) {
        return hopping ? d.start().map(s -> s.subnet().toString()).orElse("") : "";
    }

    /**
     * @param ready when each device's boot is over
     * @param left when each has left its factory address; 0 while it has not
     * @param settled when each is at its place; 0 while it is not
     */
    private void go(int now, String at, int[] next, int[] ready, int[] left, int[] settled) {
        int rest = 0;
        for (int i = 0; i < next.length; i++) {
            for (int k = next[i]; k < chains.get(i).size(); k++) {
                rest += times.of(chains.get(i).get(k));
            }
        }
        if (now + rest >= best) {
            return;
        }
        if (rest == 0) {
            best = Math.min(best, end(now, at, ready));
            return;
        }
        boolean somethingHere = false;
        for (int i = 0; i < next.length; i++) {
            somethingHere |= can(i, next, left, settled) && place(devices.get(i)).equals(at);
        }
        for (int i = 0; i < next.length; i++) {
            String there = place(devices.get(i));
            if (can(i, next, left, settled) && (!somethingHere || there.equals(at))) {
                take(
                        i,
                        now + (there.equals(at) ? 0 : times.of(Work.HOP)),
                        next,
                        ready,
                        left,
                        settled);
            }
        }
    }

    private void take(int i, int from, int[] next, int[] ready, int[] left, int[] settled) {
        NewDevice d = devices.get(i);
        Work work = chains.get(i).get(next[i]);
        int start = Math.max(from, ready[i]);
        if (next[i] == 0) {
            for (int j = 0; j < next.length; j++) {
                boolean rival = rival(i, j) && next[j] > 0;
                start = Math.max(start, rival ? left[j] : 0);
                start = Math.max(start, d.after().contains(devices.get(j).id()) ? settled[j] : 0);
            }
        }
        int end = start + times.of(work);
        int over = work == Work.VERIFY ? end : end + d.bootSeconds();
        int[] next2 = next.clone();
        int[] ready2 = ready.clone();
        int[] left2 = left.clone();
        int[] settled2 = settled.clone();
        next2[i]++;
        ready2[i] = over;
        if (work == (leases(d) ? d.fetched(method).orElseThrow() : Work.SET)) {
            left2[i] = over;
        }
        if (work == Work.SET) {
            settled2[i] = over;
        }
        go(end, place(d), next2, ready2, left2, settled2);
    }

    private boolean rival(int i, int j) {
        return i != j
                && devices.get(i).start().isPresent()
                && devices.get(i).start().equals(devices.get(j).start());
    }

    private boolean can(int i, int[] next, int[] left, int[] settled) {
        if (next[i] == chains.get(i).size()) {
            return false;
        }
        if (next[i] > 0) {
            return true;
        }
        Map<DeviceId, Integer> at = new HashMap<>();
        for (int j = 0; j < next.length; j++) {
            at.put(devices.get(j).id(), settled[j]);
            if (rival(i, j) && next[j] > 0 && left[j] == 0) {
                return false;
            }
        }
        return devices.get(i).after().stream().allMatch(b -> at.get(b) > 0);
    }

    private int end(int now, String at, int[] ready) {
        if (!hopping) {
            return now;
        }
        int last = now + (at.isEmpty() ? 0 : times.of(Work.HOP));
        for (int r : ready) {
            last = Math.max(last, r);
        }
        return last + devices.size() * times.of(Work.VERIFY);
    }
}
