package app.jerboa.core.job.proof;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.seen.SeenRun.Place;
import app.jerboa.core.job.cabling.seen.SeenWiring;
import app.jerboa.core.profile.DeviceKind;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The lead of a device that a network switch told otherwise than planned.
 *
 * @param told as it was told: the switch, its port, and behind a comma what is odd about the link
 * @param planned the port of a network switch; empty where no lead to one is planned
 * @param at the port that was told; empty where it is none of this job's, or one of before a switch
 *     got another name
 */
record FoundLead(Job job, Device device, String told, Optional<Place> planned, Optional<Place> at) {
    static FoundLead of(Job job, Device device, String told) {
        return new FoundLead(
                job,
                device,
                told,
                SeenWiring.planned(job, device),
                Place.read(Ports.of(job).switches(), told));
    }

    Finding finding() {
        Finding finding =
                Finding.of(
                        ProofCodes.WIRE,
                        device.id(),
                        Field.NAME,
                        Map.of(
                                "device",
                                device.name(),
                                "found",
                                told,
                                "planned",
                                PlannedFact.of(job, device, Topic.LINK),
                                "what",
                                worded()));
        List<Edit> follow = follow();
        return follow.isEmpty()
                ? finding
                : finding.withFixes(List.of(Fix.editing("take-over", follow)));
    }

    /** Where it hangs goes before what is odd about the link. */
    private String worded() {
        if (told.isBlank()) {
            return "unsaid";
        } else if (planned.isEmpty()) {
            return "unplanned";
        }
        return at.isPresent() && at.equals(planned) ? "slow" : "";
    }

    /**
     * Only to a port that the plan leaves free: two leads change places all at once, on Cabling.
     */
    private List<Edit> follow() {
        return at.filter(this::free)
                .map(p -> SeenWiring.following(job, device, p))
                .orElse(List.of());
    }

    private boolean free(Place place) {
        return !Ports.of(job).taken().contains(place);
    }

    /** The network switches of a job, and which of all sockets have a run in the plan. */
    private record Ports(List<Device> switches, Set<Place> taken) {
        static Ports of(Job job) {
            return job.worked(Ports.class, () -> made(job));
        }

        private static Ports made(Job job) {
            return new Ports(
                    job.devices().stream()
                            .filter(d -> d.profile().kind() == DeviceKind.NETWORK_SWITCH)
                            .toList(),
                    job.runs().stream()
                            .flatMap(r -> Stream.of(r.from(), r.to()))
                            .map(e -> new Place(e.device(), e.port()))
                            .collect(Collectors.toSet()));
        }
    }
}
