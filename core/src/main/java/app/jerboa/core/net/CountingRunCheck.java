package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.value.DeviceId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** A controller that counts up from its first address must find its cameras where it looks. */
final class CountingRunCheck implements AddressCheck {
    @Override
    public void check(AddressIndex index, Consumer<Finding> report) {
        for (CountingRun run : index.facts().runs()) {
            firstMostAgreeOn(index, run).flatMap(first -> gap(index, run, first)).ifPresent(report);
        }
    }

    /**
     * The first address most cameras fit, the lowest of those that tie; empty when none has one.
     */
    private static Optional<Long> firstMostAgreeOn(AddressIndex index, CountingRun run) {
        Map<Long, Long> votes = new HashMap<>();
        for (CountingRun.Keyed keyed : run.cameras()) {
            index.device(keyed.camera())
                    .address()
                    .ifPresent(a -> votes.merge(a.bits() - run.offset(keyed), 1L, Long::sum));
        }
        return votes.entrySet().stream()
                .max(
                        Map.Entry.<Long, Long>comparingByValue()
                                .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
                .map(Map.Entry::getKey);
    }

    private static Optional<Finding> gap(AddressIndex index, CountingRun run, long first) {
        List<CountingRun.Keyed> astray =
                run.cameras().stream()
                        .filter(k -> index.device(k.camera()).address().isPresent())
                        .filter(k -> addressBits(index, k) != first + run.offset(k))
                        .toList();
        if (!astray.isEmpty()) {
            return Optional.of(finding(index, run, first, astray, "gap"));
        }
        return run.lastOctetOnly() && passesLastOctet(index, run)
                ? Optional.of(finding(index, run, first, run.cameras(), "passes255"))
                : Optional.empty();
    }

    private static boolean passesLastOctet(AddressIndex index, CountingRun run) {
        return run.cameras().stream()
                        .filter(k -> index.device(k.camera()).address().isPresent())
                        .map(k -> addressBits(index, k) >> 8)
                        .distinct()
                        .count()
                > 1;
    }

    private static long addressBits(AddressIndex index, CountingRun.Keyed keyed) {
        return index.device(keyed.camera()).address().orElseThrow().bits();
    }

    private static Finding finding(
            AddressIndex index,
            CountingRun run,
            long first,
            List<CountingRun.Keyed> astray,
            String what) {
        String names =
                astray.stream()
                        .map(k -> index.device(k.camera()).name())
                        .collect(Collectors.joining(", "));
        String expected =
                astray.stream()
                        .map(k -> expectation(run, first, k))
                        .collect(Collectors.joining("; "));
        Map<String, String> facts =
                Map.of(
                        "controller", run.name(),
                        "devices", names,
                        "expected", expected,
                        "what", what);
        List<DeviceId> concerned = astray.stream().map(CountingRun.Keyed::camera).toList();
        return Finding.of(AddressCodes.GAP, concerned, Field.ADDRESS, facts)
                .withFixes(
                        index.moving(
                                run.cameras().stream().map(CountingRun.Keyed::camera).toList()));
    }

    private static String expectation(CountingRun run, long first, CountingRun.Keyed keyed) {
        long bits = Math.min(0xFFFF_FFFFL, Math.max(0, first + run.offset(keyed)));
        return "key " + keyed.key() + " looks at " + new Ipv4(bits);
    }
}
