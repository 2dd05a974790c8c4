package app.jerboa.core.job.addresses;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.net.AddressFacts;
import app.jerboa.core.net.AddressPlan;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.AddressRole;
import app.jerboa.core.net.AddressedDevice;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.net.Move;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Network;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The plan as it would be: cameras from another start, another subnet, another working practice.
 */
public final class AddressWhatIf {
    /**
     * What would change.
     *
     * @param unplaced devices for which no address would be left
     */
    public record Result(ChangeSet changes, List<DeviceId> unplaced) {}

    private AddressWhatIf() {}

    /**
     * The cameras of a subnet side by side from a host on; what is set on site stays.
     *
     * @param start a host of one of the job's subnets
     * @throws IllegalArgumentException for an address of none of them
     */
    public static Result start(Job job, Ipv4 start) {
        Subnet subnet =
                job.subnets().stream()
                        .filter(s -> s.range().isHost(start))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                start + " is no host of a subnet of this job"));
        AddressFacts facts = JobAddresses.facts(job).get(job.subnets().indexOf(subnet));
        List<AddressedDevice> loose =
                facts.devices().stream()
                        .map(d -> d.role() == AddressRole.CAMERA && !d.set() ? homeless(d) : d)
                        .toList();
        Ipv4Range block = new Ipv4Range(start, subnet.range().hosts().last());
        AddressPlan plan =
                AddressPlanner.plan(
                        new AddressFacts(facts.lan(), loose, facts.runs()),
                        Map.of(AddressRole.CAMERA, block));
        return new Result(ChangeSet.edits(edits(job, plan)), plan.unplaced());
    }

    private static AddressedDevice homeless(AddressedDevice d) {
        return d.at(Optional.empty());
    }

    private static List<Edit> edits(Job job, AddressPlan plan) {
        Map<DeviceId, Device> byId = new LinkedHashMap<>();
        job.devices().forEach(d -> byId.put(d.id(), d));
        List<Edit> edits = new ArrayList<>();
        for (Move m : plan.moves()) {
            String before = JobItems.text(byId.get(m.device()), Field.ADDRESS);
            if (!before.equals(m.to().toString())) {
                edits.add(Edit.of(m.device(), Field.ADDRESS, before, m.to().toString()));
            }
        }
        for (DeviceId homeless : plan.unplaced()) {
            String before = JobItems.text(byId.get(homeless), Field.ADDRESS);
            if (!before.isEmpty()) {
                edits.add(Edit.of(homeless, Field.ADDRESS, before, ""));
            }
        }
        return edits;
    }

    /**
     * A subnet of the job with another range: every device keeps its host number where it can, and
     * takes the new mask and gateway.
     *
     * @throws IllegalArgumentException when the gateway is no host of the new range
     */
    public static Result subnet(
            JobEditor editor, Job job, Subnet old, Ipv4Subnet to, Ipv4 gateway) {
        if (!to.isHost(gateway)) {
            throw new IllegalArgumentException(gateway + " is no host of " + to);
        }
        ItemRef ref = old.ref();
        List<Edit> edits = new ArrayList<>();
        add(edits, ref, Field.CIDR, old.range().toString(), to.toString());
        add(edits, ref, Field.SUBNET_GATEWAY, old.gateway().toString(), gateway.toString());
        String laptop = moved(old, to, old.laptopHome()).orElse(to.hosts().last()).toString();
        add(edits, ref, Field.LAPTOP_HOME, old.laptopHome().toString(), laptop);
        boolean first = old.id() == job.subnets().get(0).id();
        for (Device d : job.devices()) {
            if (first && d.address().isEmpty() && d.addressed()) {
                // Its lease comes from here too.
                String prefix = Integer.toString(to.prefix());
                add(edits, d.ref(), Field.PREFIX, JobItems.text(d, Field.PREFIX), prefix);
            } else if (d.address().filter(old.range()::contains).isPresent()) {
                boolean router = d.profile().kind() == DeviceKind.ROUTER;
                String address =
                        router
                                ? gateway.toString()
                                : moved(old, to, d.address().get()).map(Ipv4::toString).orElse("");
                add(edits, d.ref(), Field.ADDRESS, JobItems.text(d, Field.ADDRESS), address);
                add(
                        edits,
                        d.ref(),
                        Field.PREFIX,
                        JobItems.text(d, Field.PREFIX),
                        Integer.toString(to.prefix()));
                if (d.gateway().isPresent()) {
                    add(
                            edits,
                            d.ref(),
                            Field.GATEWAY,
                            JobItems.text(d, Field.GATEWAY),
                            gateway.toString());
                }
            }
        }
        return settled(editor, job, ChangeSet.edits(edits));
    }

    /** The same host number in another range; empty when it has no such host. */
    private static Optional<Ipv4> moved(Subnet old, Ipv4Subnet to, Ipv4 address) {
        long offset = address.bits() - old.range().network().bits();
        boolean fits = offset >= 1 && offset <= to.hosts().size();
        return fits ? Optional.of(to.network().plus(offset)) : Optional.empty();
    }

    private static void add(
            List<Edit> edits, ItemRef item, Field field, String before, String after) {
        if (!before.equals(after)) {
            edits.add(new Edit(item, field, before, after));
        }
    }

    /**
     * Another way to come by addresses, for every device that can.
     *
     * @param way {@code static}, {@code reservation} or {@code lease}
     */
    public static Result practice(JobEditor editor, Job job, String way) {
        List<Edit> edits = new ArrayList<>();
        add(
                edits,
                job.site().ref(),
                Field.PRACTICE_ADDRESSES,
                JobItems.text(job.site(), Field.PRACTICE_ADDRESSES),
                way);
        for (Device d : job.devices()) {
            boolean concerned =
                    d.addressed()
                            && d.profile().kind() != DeviceKind.ROUTER
                            && d.profile().network().filter(Network::leaseOnly).isEmpty();
            if (concerned) {
                boolean reserved = way.equals("reservation");
                String before = JobItems.text(d, Field.RESERVED);
                add(edits, d.ref(), Field.RESERVED, before, Boolean.toString(reserved));
                if (way.equals("lease") && !d.set()) {
                    add(edits, d.ref(), Field.ADDRESS, JobItems.text(d, Field.ADDRESS), "");
                }
            }
        }
        return way.equals("lease")
                ? new Result(ChangeSet.edits(edits), List.of())
                : settled(editor, job, ChangeSet.edits(edits));
    }

    /** With whatever re-planning would then still move. */
    private static Result settled(JobEditor editor, Job job, ChangeSet changes) {
        Job then = editor.apply(job, changes);
        List<AddressPlan> plans =
                JobAddresses.facts(then).stream().map(AddressPlanner::plan).toList();
        List<Edit> more = plans.stream().flatMap(p -> edits(then, p).stream()).toList();
        return new Result(
                merged(changes.edits(), more),
                plans.stream().flatMap(p -> p.unplaced().stream()).toList());
    }

    /** Two edits of one field become one. */
    private static ChangeSet merged(List<Edit> first, List<Edit> then) {
        Map<String, Edit> all = new LinkedHashMap<>();
        for (Edit e : first) {
            all.put(e.item() + " " + e.field(), e);
        }
        for (Edit e : then) {
            all.merge(
                    e.item() + " " + e.field(),
                    e,
                    (a, b) -> new Edit(a.item(), a.field(), a.before(), b.after()));
        }
        return ChangeSet.edits(
                all.values().stream().filter(e -> !e.before().equals(e.after())).toList());
    }
}
