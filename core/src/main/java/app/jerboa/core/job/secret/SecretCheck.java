package app.jerboa.core.job.secret;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.Secret;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.PasswordRule;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Secrets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Factory passwords that were kept, one password on several devices, and public addresses. */
public final class SecretCheck {
    /** RFC 1918, and what devices take by themselves (RFC 3927). */
    private static final List<Ipv4Subnet> INSIDE =
            List.of(
                    Ipv4Subnet.parse("10.0.0.0/8"),
                    Ipv4Subnet.parse("172.16.0.0/12"),
                    Ipv4Subnet.parse("192.168.0.0/16"),
                    Ipv4Subnet.parse("169.254.0.0/16"));

    private SecretCheck() {}

    public static List<Finding> of(Job job) {
        List<Finding> found = new ArrayList<>();
        kept(job).ifPresent(found::add);
        reused(job, found);
        job.devices().stream()
                .filter(d -> d.address().filter(SecretCheck::publicly).isPresent())
                .forEach(d -> found.add(exposed(d)));
        return found;
    }

    private static boolean publicly(Ipv4 address) {
        return INSIDE.stream().noneMatch(s -> s.contains(address));
    }

    private static Finding exposed(Device d) {
        return Finding.of(
                SecretCodes.EXPOSED,
                List.of(d.id()),
                Field.ADDRESS,
                Map.of("device", d.name(), "address", d.address().orElseThrow().toString()));
    }

    /** All in one finding: they are changed together. */
    private static Optional<Finding> kept(Job job) {
        Set<DeviceId> changed = new HashSet<>();
        Set<DeviceId> asBad = new HashSet<>();
        for (Secret s : job.secrets()) {
            if (s.isPassword() && s.device().isPresent()) {
                (s.origin().equals(Secrets.FACTORY) ? asBad : changed).add(s.device().get());
            }
        }
        List<Device> devices =
                job.devices().stream()
                        .filter(d -> d.addressed() && !changed.contains(d.id()))
                        .filter(d -> asBad.contains(d.id()) || sharesFactoryPassword(d))
                        .toList();
        return devices.isEmpty()
                ? Optional.empty()
                : Optional.of(about(SecretCodes.DEFAULT_PASSWORD, devices));
    }

    private static boolean sharesFactoryPassword(Device d) {
        return d.profile()
                .access()
                .map(Access::password)
                .filter(p -> p == PasswordRule.FACTORY)
                .isPresent();
    }

    private static void reused(Job job, List<Finding> found) {
        Map<DeviceId, Device> byId = new LinkedHashMap<>();
        job.devices().forEach(d -> byId.put(d.id(), d));
        Map<String, List<Device>> byFingerprint = new LinkedHashMap<>();
        for (Secret s : job.secrets()) {
            if (s.isPassword()) {
                s.device()
                        .ifPresent(
                                d ->
                                        byFingerprint
                                                .computeIfAbsent(
                                                        s.fingerprint(), p -> new ArrayList<>())
                                                .add(byId.get(d)));
            }
        }
        byFingerprint.values().stream()
                .filter(l -> l.stream().distinct().count() > 1)
                .forEach(l -> found.add(about(SecretCodes.REUSED_PASSWORD, l)));
    }

    private static Finding about(FindingCode code, List<Device> devices) {
        return Finding.of(
                code,
                devices.stream().map(Device::id).toList(),
                Field.PROFILE,
                Map.of(
                        "devices", Naming.devices(devices),
                        "count", Integer.toString(devices.size())));
    }
}
