package app.jerboa.server.network;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.server.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What may be contacted on the live network, whatever a job file or an answer says: an address that
 * the job plans, or that one of its devices starts on or was found at, and at once one of a private
 * or link-local range, or of a range that whoever runs this server allows.
 */
public final class AllowRule {
    /** Private by RFC 1918, and link-local by RFC 3927. */
    private static final List<Ipv4Subnet> PRIVATE =
            Stream.of("10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16")
                    .map(Ipv4Subnet::parse)
                    .toList();

    private final List<Ipv4Subnet> allowed;

    /**
     * @param more ranges beside the private ones, with commas between; may be empty
     * @throws app.jerboa.core.value.TextRejected for what is no range
     */
    public AllowRule(String more) {
        allowed =
                Stream.concat(
                                PRIVATE.stream(),
                                Arrays.stream(more.split(",", -1))
                                        .map(String::strip)
                                        .filter(t -> !t.isEmpty())
                                        .map(Ipv4Subnet::parse))
                        .toList();
    }

    /** Why this address is not contacted; empty when it may be. */
    public Optional<String> refusal(Job job, Ipv4 address) {
        Optional<String> nobody = refusalOfRange(job, address);
        if (nobody.isPresent() || ofJob(job, address)) {
            return nobody;
        }
        return Optional.of(Words.say("allow.unplanned", Map.of("address", address)));
    }

    /** The same for a look at the network, which goes over the subnets of the job. */
    public Optional<String> refusalOfLook(Job job, Ipv4 address) {
        Optional<String> nobody = refusalOfRange(job, address);
        if (nobody.isPresent() || job.subnets().stream().anyMatch(s -> s.range().isHost(address))) {
            return nobody;
        }
        return Optional.of(Words.say("allow.no-subnet", Map.of("address", address)));
    }

    private Optional<String> refusalOfRange(Job job, Ipv4 address) {
        if (allowed.stream().noneMatch(range -> range.contains(address))) {
            return Optional.of(Words.say("allow.public", Map.of("address", address)));
        }
        if (job.subnets().stream().anyMatch(s -> isNobody(s.range(), address))) {
            return Optional.of(Words.say("allow.no-device", Map.of("address", address)));
        }
        return Optional.empty();
    }

    private static boolean isNobody(Ipv4Subnet range, Ipv4 address) {
        return range.contains(address) && !range.isHost(address);
    }

    private static boolean ofJob(Job job, Ipv4 address) {
        return job.devices().stream().flatMap(AllowRule::addresses).anyMatch(address::equals);
    }

    private static Stream<Ipv4> addresses(Device d) {
        return Stream.of(d.address(), d.found(), d.profile().factory().map(FactoryAddress::address))
                .flatMap(Optional::stream);
    }
}
