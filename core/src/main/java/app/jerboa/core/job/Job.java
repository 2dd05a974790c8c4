package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.item.Parts;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.net.Lan;
import app.jerboa.core.net.TakenAddresses;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One installation: its site and network, its kit, its lines.
 *
 * @param subnets never empty; the first is where the plan puts devices
 * @param devices in the order they came
 * @param lines in line order
 * @param takes of all shot lists, by start
 * @param found where devices last answered from, as far as is known: no item, but what the plan of
 *     the work goes by; each device of the job carries its own
 * @param worked what was worked out from the rest
 */
public record Job(
        Site site,
        List<Subnet> subnets,
        List<AddressRange> ranges,
        List<Device> devices,
        List<Line> lines,
        List<ChosenRoute> routes,
        List<Mount> mounts,
        List<Preset> presets,
        List<PlannedShots> shotLists,
        List<PlannedTake> takes,
        List<Run> runs,
        List<Price> prices,
        List<Prepared> prepared,
        List<Secret> secrets,
        List<OwnProfile> profiles,
        List<Waiver> waivers,
        Map<DeviceId, Ipv4> found,
        Worked worked) {
    /** The device that holds the address which each subnet promises to the technician. */
    private static final String LAPTOP = "the technician’s laptop";

    private static final Set<ItemKind> KINDS = EnumSet.allOf(ItemKind.class);

    static final Comparator<JobItem> BY_ID = Comparator.comparingLong(i -> i.ref().id());
    static final Comparator<Line> BY_NUMBER =
            Comparator.comparingInt(Line::number).thenComparing(BY_ID);

    public Job {
        subnets = List.copyOf(subnets);
        ranges = List.copyOf(ranges);
        devices = List.copyOf(devices);
        lines = List.copyOf(lines);
        routes = List.copyOf(routes);
        mounts = List.copyOf(mounts);
        presets = List.copyOf(presets);
        shotLists = List.copyOf(shotLists);
        takes = List.copyOf(takes);
        runs = List.copyOf(runs);
        prices = List.copyOf(prices);
        prepared = List.copyOf(prepared);
        secrets = List.copyOf(secrets);
        profiles = List.copyOf(profiles);
        waivers = List.copyOf(waivers);
        found = Map.copyOf(found);
        if (subnets.isEmpty()) {
            throw new IllegalArgumentException("a job has at least one subnet");
        }
    }

    /**
     * @param items in any order
     * @throws IllegalArgumentException without exactly one site and at least one subnet
     */
    public static Job of(Collection<? extends JobItem> items) {
        return of(items, Map.of(), new Worked());
    }

    private static Job of(
            Collection<? extends JobItem> items, Map<DeviceId, Ipv4> found, Worked worked) {
        Map<ItemKind, List<JobItem>> kinds = new EnumMap<>(ItemKind.class);
        items.forEach(i -> kinds.computeIfAbsent(i.ref().kind(), k -> new ArrayList<>()).add(i));
        List<Site> sites = sorted(Site.class, kinds.get(ItemKind.SITE), BY_ID);
        if (sites.size() != 1) {
            throw new IllegalArgumentException("a job has exactly one site, got " + sites.size());
        }
        return new Job(
                sites.get(0),
                sorted(Subnet.class, kinds.get(ItemKind.SUBNET), BY_ID),
                sorted(AddressRange.class, kinds.get(ItemKind.RANGE), BY_ID),
                sorted(Device.class, kinds.get(ItemKind.DEVICE), BY_ID).stream()
                        .map(d -> d.foundAt(Optional.ofNullable(found.get(d.id()))))
                        .toList(),
                sorted(Line.class, kinds.get(ItemKind.LINE), BY_NUMBER),
                sorted(ChosenRoute.class, kinds.get(ItemKind.ROUTE), BY_ID),
                sorted(Mount.class, kinds.get(ItemKind.MOUNT), BY_ID),
                sorted(Preset.class, kinds.get(ItemKind.PRESET), BY_ID),
                sorted(PlannedShots.class, kinds.get(ItemKind.SHOT_LIST), BY_ID),
                sorted(PlannedTake.class, kinds.get(ItemKind.TAKE), PlannedTake.ORDER),
                sorted(Run.class, kinds.get(ItemKind.RUN), BY_ID),
                sorted(Price.class, kinds.get(ItemKind.PRICE), BY_ID),
                sorted(Prepared.class, kinds.get(ItemKind.PREPARED), BY_ID),
                sorted(Secret.class, kinds.get(ItemKind.SECRET), BY_ID),
                sorted(OwnProfile.class, kinds.get(ItemKind.PROFILE), BY_ID),
                sorted(Waiver.class, kinds.get(ItemKind.WAIVER), BY_ID),
                found,
                worked);
    }

    private static <T extends JobItem> List<T> sorted(
            Class<T> kind, List<JobItem> items, Comparator<? super T> order) {
        return items == null ? List.of() : items.stream().map(kind::cast).sorted(order).toList();
    }

    /** Every item, kind by kind. */
    public Stream<JobItem> items() {
        return KINDS.stream().flatMap(k -> items(k).stream());
    }

    /** Those of a kind, in their order. */
    public List<? extends JobItem> items(ItemKind kind) {
        return switch (kind) {
            case SITE -> List.of(site);
            case SUBNET -> subnets;
            case RANGE -> ranges;
            case DEVICE -> devices;
            case LINE -> lines;
            case ROUTE -> routes;
            case MOUNT -> mounts;
            case PRESET -> presets;
            case SHOT_LIST -> shotLists;
            case TAKE -> takes;
            case RUN -> runs;
            case PRICE -> prices;
            case PREPARED -> prepared;
            case SECRET -> secrets;
            case PROFILE -> profiles;
            case WAIVER -> waivers;
        };
    }

    /** It has an item of that kind and number. */
    public boolean has(ItemKind kind, long id) {
        return kind == ItemKind.DEVICE
                ? KitIndex.of(this).device(new DeviceId(id)) != null
                : ids(kind).contains(id);
    }

    private record IdsOf(ItemKind kind) {}

    private record Ids(Set<Long> of) {}

    private Set<Long> ids(ItemKind kind) {
        return worked(
                        new IdsOf(kind),
                        Parts.of(kind),
                        Ids.class,
                        () ->
                                new Ids(
                                        items(kind).stream()
                                                .map(i -> i.ref().id())
                                                .collect(Collectors.toSet())))
                .of();
    }

    /**
     * What is worked out from this job: once, however many ask. The work must look at nothing else,
     * and nobody may change what it gives.
     *
     * @param what names it; one class, one thing
     */
    public <T> T worked(Class<T> what, Supplier<T> work) {
        return worked.get(what, work);
    }

    /**
     * As above, for what does not hold this job and is worked out from some parts of it only: a job
     * that follows this one and differs in others takes it over. What holds an item reads its whole
     * kind.
     */
    public <T> T worked(Object name, Parts reads, Class<T> what, Supplier<T> work) {
        return worked.get(name, reads, what, before -> work.get());
    }

    /**
     * As above, where the work may take over parts of what the job before this one had.
     *
     * @param work gets that, where it is known
     */
    public <T> T workedAfter(
            Object name, Parts reads, Class<T> what, Function<Optional<T>, T> work) {
        return worked.get(name, reads, what, work);
    }

    /**
     * The job that follows this one: kinds of items that were not touched are the very same lists.
     *
     * @param put items that are new or others now
     * @param gone that are no more
     * @param touched all that differs
     */
    public Job followedBy(Collection<? extends JobItem> put, Set<ItemRef> gone, Parts touched) {
        return JobAfter.of(this, put, gone, touched);
    }

    /**
     * What was worked out from this job is let go; asked again it is worked out anew. For a version
     * that others have followed: what was worked out from a large job takes more room than the job.
     */
    public void forget() {
        worked.forget();
    }

    /**
     * The same plan, with its devices found elsewhere; the very same job when nothing is new.
     *
     * @param where they last answered from
     */
    public Job with(Map<DeviceId, Ipv4> where) {
        return where.equals(found)
                ? this
                : of(items().toList(), where, worked.after(Parts.of(ItemKind.DEVICE)));
    }

    public String name() {
        return site.name();
    }

    /** The house's side of a subnet. */
    public Lan lan(Subnet subnet) {
        Ipv4Subnet home = subnet.range();
        List<TakenAddresses> taken =
                new ArrayList<>(
                        used("taken", home)
                                .map(r -> new TakenAddresses(r.range(), r.holder()))
                                .toList());
        if (devices.stream().noneMatch(d -> isLaptopAt(d, subnet.laptopHome()))) {
            taken.add(new TakenAddresses(Ipv4Range.of(subnet.laptopHome()), LAPTOP));
        }
        return new Lan(
                home,
                subnet.gateway(),
                used("pool", home).map(AddressRange::range).toList(),
                used("reserved", home).map(AddressRange::range).toList(),
                taken);
    }

    /** The laptop is in the kit itself: the address it is promised is its own. */
    private static boolean isLaptopAt(Device d, Ipv4 address) {
        return d.profile().sort() == Sort.LAPTOP && d.address().filter(address::equals).isPresent();
    }

    private Stream<AddressRange> used(String use, Ipv4Subnet home) {
        Ipv4Range within = new Ipv4Range(home.network(), home.broadcast());
        return ranges.stream()
                .filter(r -> r.use().equals(use))
                .filter(
                        r ->
                                within.contains(r.range().first())
                                        && within.contains(r.range().last()));
    }

    /** The password of a device, if one is kept. */
    public Optional<Secret> password(DeviceId device) {
        Passwords kept =
                worked(
                        Passwords.class,
                        Parts.of(ItemKind.SECRET),
                        Passwords.class,
                        this::passwords);
        return Optional.ofNullable(kept.byDevice.get(device));
    }

    /** The first of each device. */
    private record Passwords(Map<DeviceId, Secret> byDevice) {}

    private Passwords passwords() {
        Map<DeviceId, Secret> first = new HashMap<>();
        secrets.stream()
                .filter(Secret::isPassword)
                .forEach(s -> s.device().ifPresent(d -> first.putIfAbsent(d, s)));
        return new Passwords(first);
    }

    /** A line as people here call it: L1, LA or L0. */
    public String label(Line line) {
        return site.habits().numbering().label(line.number());
    }

    public Optional<Device> device(DeviceId id) {
        return Optional.ofNullable(KitIndex.of(this).device(id));
    }

    public Optional<JobItem> item(ItemRef ref) {
        List<? extends JobItem> all = items(ref.kind());
        boolean ordered = ref.kind() != ItemKind.LINE && ref.kind() != ItemKind.TAKE;
        return ordered
                ? ById.find(all, ref.id())
                : all.stream()
                        .filter(i -> i.ref().id() == ref.id())
                        .map(JobItem.class::cast)
                        .findFirst();
    }
}
