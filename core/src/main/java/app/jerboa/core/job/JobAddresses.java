package app.jerboa.core.job;

import app.jerboa.core.net.AddressFacts;
import app.jerboa.core.net.AddressedDevice;
import app.jerboa.core.net.CountingRun;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** A job's facts for the address plan. */
public final class JobAddresses {
    private JobAddresses() {}

    public static AddressFacts facts(Job job) {
        return new AddressFacts(
                job.lan(), job.devices().stream().map(JobAddresses::device).toList(), runs(job));
    }

    private static AddressedDevice device(Device d) {
        return new AddressedDevice(
                d.id(),
                d.name(),
                d.profile().kind().addressRole(),
                d.address(),
                d.prefix(),
                d.gateway(),
                d.reserved(),
                d.set(),
                d.profile().kind() == DeviceKind.ROUTER,
                d.profile().factory());
    }

    private static List<CountingRun> runs(Job job) {
        Map<DeviceId, Map<Integer, DeviceId>> keyed = new HashMap<>();
        for (Line line : job.lines()) {
            line.key()
                    .ifPresent(
                            k ->
                                    keyed.computeIfAbsent(k.controller(), c -> new TreeMap<>())
                                            .putIfAbsent(k.number(), line.camera()));
        }
        List<CountingRun> runs = new ArrayList<>();
        for (Device d : job.devices()) {
            d.profile()
                    .keys()
                    .filter(k -> k.counting() && keyed.containsKey(d.id()))
                    .ifPresent(k -> runs.add(run(d, k, keyed.get(d.id()))));
        }
        return runs;
    }

    private static CountingRun run(Device d, Profile.Keys keys, Map<Integer, DeviceId> cameras) {
        List<CountingRun.Keyed> keyed =
                cameras.entrySet().stream()
                        .map(e -> new CountingRun.Keyed(e.getKey(), e.getValue()))
                        .toList();
        return new CountingRun(d.id(), d.name(), keys.first(), keys.lastOctetOnly(), keyed);
    }
}
