package app.jerboa.core.job.discovery;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.discovery.Match.By;
import app.jerboa.core.job.discovery.Match.Verdict;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Lan;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Which device of the plan each answer is: by MAC, then by serial number, then by the address it
 * answers at, then by the model it calls itself where only one of that model is missing. The surer
 * ones are settled for all answers first, so that a weak sign never takes a device from a strong
 * one.
 */
public final class Matching {
    /** Octets of a MAC that name its maker, as written: {@code 02:4a:10}. */
    private static final int MAKER = 8;

    private final Job job;
    private final Map<String, Device> byMac = new HashMap<>();
    private final Map<String, Device> bySerial = new HashMap<>();
    private final Map<Ipv4, List<Device>> byAddress = new HashMap<>();
    private final Set<DeviceId> met = new HashSet<>();
    private final Map<Found, Match> matches = new HashMap<>();

    private Matching(Job job) {
        this.job = job;
        for (Device d : job.devices()) {
            if (!d.mac().isEmpty()) {
                byMac.putIfAbsent(d.mac(), d);
            }
            if (!d.serialNumber().isBlank()) {
                bySerial.putIfAbsent(d.serialNumber().strip(), d);
            }
            d.address().ifPresent(a -> byAddress.computeIfAbsent(a, x -> new ArrayList<>()).add(d));
        }
    }

    /**
     * One for each answer, in their order.
     *
     * @param all each address once
     */
    public static List<Match> of(Job job, Collection<Found> all) {
        Matching m = new Matching(job);
        m.settle(all, m::byItsMac);
        m.settle(all, m::bySerialNumber);
        m.settle(all, m::atAddress);
        m.settle(all, f -> m.byModel(all, f));
        m.settle(all, m::ofHouse);
        return all.stream()
                .map(f -> Optional.ofNullable(m.matches.get(f)).orElseGet(() -> m.unknown(f)))
                .toList();
    }

    /** Devices with a planned address in one of the swept places that nothing answered for. */
    public static List<Device> missing(Job job, Sweep sweep, List<Match> matches) {
        Set<DeviceId> there = new HashSet<>();
        matches.forEach(m -> m.device().ifPresent(d -> there.add(d.id())));
        matches.stream()
                .filter(m -> m.verdict() == Verdict.ANOTHER)
                .forEach(m -> m.device().ifPresent(d -> there.remove(d.id())));
        Set<Ipv4> asked = new HashSet<>(sweep.addresses());
        return job.devices().stream()
                .filter(d -> d.address().filter(asked::contains).isPresent())
                // The laptop is who looks.
                .filter(d -> d.profile().sort() != Sort.LAPTOP)
                .filter(d -> !there.contains(d.id()))
                .toList();
    }

    private void settle(Collection<Found> all, Function<Found, Optional<Match>> rule) {
        for (Found f : all) {
            if (!matches.containsKey(f)) {
                rule.apply(f).ifPresent(m -> matches.put(f, m));
            }
        }
    }

    private Optional<Match> byItsMac(Found f) {
        if (f.fought()) {
            List<Device> rivals = f.macs().stream().flatMap(m -> known(m).stream()).toList();
            rivals.forEach(d -> met.add(d.id()));
            Optional<Device> whose =
                    planned(f).stream().findFirst().or(() -> rivals.stream().findFirst());
            whose.ifPresent(d -> met.add(d.id()));
            return Optional.of(new Match(f, whose, By.MAC, Verdict.SECOND, rivals, ""));
        }
        return f.macs().stream().flatMap(m -> known(m).stream()).findFirst().map(is(f, By.MAC));
    }

    private Optional<Device> known(String mac) {
        return Optional.ofNullable(byMac.get(mac));
    }

    private Optional<Match> bySerialNumber(Found f) {
        return f.told()
                .map(t -> bySerial.get(t.serialNumber().strip()))
                .filter(d -> !met.contains(d.id()))
                .map(is(f, By.SERIAL_NUMBER));
    }

    /**
     * A MAC or a model that is known to be another one's says that it is not the planned device.
     */
    private Optional<Match> atAddress(Found f) {
        return planned(f).stream()
                .filter(d -> !met.contains(d.id()))
                .findFirst()
                .map(
                        d ->
                                belies(f, d)
                                        ? new Match(
                                                f,
                                                Optional.of(d),
                                                By.ADDRESS,
                                                Verdict.ANOTHER,
                                                candidates(f).stream()
                                                        .filter(c -> !c.equals(d))
                                                        .toList(),
                                                "")
                                        : is(f, By.ADDRESS).apply(d));
    }

    private List<Device> planned(Found f) {
        return byAddress.getOrDefault(f.address(), List.of());
    }

    private boolean belies(Found f, Device d) {
        boolean otherMac = !d.mac().isEmpty() && !f.macs().isEmpty() && !f.hasMac(d.mac());
        boolean otherModel =
                f.told()
                        .map(t -> t.hardware().strip())
                        .filter(h -> !h.isEmpty() && !h.equalsIgnoreCase(d.profile().name()))
                        .filter(h -> job.devices().stream().anyMatch(o -> isModel(h, o)))
                        .isPresent();
        return otherMac || otherModel;
    }

    private static boolean isModel(String hardware, Device d) {
        return hardware.equalsIgnoreCase(d.profile().name());
    }

    /** One missing, and one answer that may be it: else nobody can say which is which. */
    private Optional<Match> byModel(Collection<Found> all, Found f) {
        List<Device> same = sameModel(f);
        boolean alone =
                all.stream()
                                .filter(o -> !matches.containsKey(o) && sameModel(o).equals(same))
                                .count()
                        == 1;
        return same.size() == 1 && alone
                ? Optional.of(is(f, By.PROFILE).apply(same.get(0)))
                : Optional.empty();
    }

    private List<Device> sameModel(Found f) {
        String hardware = f.told().map(t -> t.hardware().strip()).orElse("");
        return hardware.isEmpty()
                ? List.of()
                : missing(f).filter(d -> isModel(hardware, d)).toList();
    }

    /** Those that nothing is known of yet and that it may be: none that is known by another MAC. */
    private Stream<Device> missing(Found f) {
        return job.devices().stream()
                .filter(Device::addressed)
                .filter(d -> !met.contains(d.id()))
                .filter(d -> d.mac().isEmpty() || f.macs().isEmpty());
    }

    private Optional<Match> ofHouse(Found f) {
        return job.subnets().stream()
                .map(job::lan)
                .flatMap(lan -> holder(lan, f.address()).stream())
                .findFirst()
                .map(h -> new Match(f, Optional.empty(), By.ADDRESS, Verdict.HOUSE, List.of(), h));
    }

    private static Optional<String> holder(Lan lan, Ipv4 address) {
        return lan.gateway().equals(address)
                ? Optional.of("gateway")
                : lan.taken().stream()
                        .filter(t -> t.range().contains(address))
                        .map(t -> t.holder())
                        .findFirst();
    }

    private Match unknown(Found f) {
        return new Match(f, Optional.empty(), By.NOTHING, Verdict.UNKNOWN, candidates(f), "");
    }

    /** The same model, else those that start at this address, else those of the same maker. */
    private List<Device> candidates(Found f) {
        return Stream.<List<Device>>of(
                        sameModel(f),
                        missing(f).filter(d -> starts(d, f.address())).toList(),
                        job.devices().stream()
                                .filter(d -> !met.contains(d.id()) && sameMaker(f, d))
                                .toList())
                .filter(l -> !l.isEmpty())
                .findFirst()
                .orElse(List.of());
    }

    private static boolean sameMaker(Found f, Device d) {
        return d.mac().length() > MAKER
                && f.macs().stream().anyMatch(m -> m.startsWith(d.mac().substring(0, MAKER)));
    }

    private static boolean starts(Device d, Ipv4 address) {
        return d.profile()
                .factory()
                .map(FactoryAddress::address)
                .filter(address::equals)
                .isPresent();
    }

    private Function<Device, Match> is(Found f, By by) {
        return d -> {
            met.add(d.id());
            return new Match(f, Optional.of(d), by, verdict(f, d), List.of(), "");
        };
    }

    private static Verdict verdict(Found f, Device d) {
        if (d.address().filter(f.address()::equals).isPresent()) {
            return Verdict.AS_PLANNED;
        }
        return starts(d, f.address()) ? Verdict.AT_START : Verdict.ELSEWHERE;
    }
}
