package app.jerboa.core.job.proof;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.seen.SeenRun.Place;
import app.jerboa.core.job.cabling.seen.SeenWiring;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.DeviceSocket;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
        return new FoundLead(job, device, told, SeenWiring.planned(job, device), place(job, told));
    }

    private static Optional<Place> place(Job job, String told) {
        return job.devices().stream()
                .filter(d -> d.profile().kind() == DeviceKind.NETWORK_SWITCH)
                .filter(d -> told.startsWith(d.name() + " "))
                .flatMap(d -> port(d, told.substring(d.name().length() + 1)).stream())
                .findFirst();
    }

    private static Optional<Place> port(Device networkSwitch, String told) {
        int comma = told.indexOf(',');
        return DeviceSocket.find(
                        networkSwitch.profile(), comma < 0 ? told : told.substring(0, comma))
                .map(s -> new Place(networkSwitch.id(), s.name()));
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
        return job.runs().stream()
                .flatMap(r -> Stream.of(r.from(), r.to()))
                .noneMatch(e -> isAt(e, place));
    }

    private static boolean isAt(Run.End end, Place place) {
        return end.device().equals(place.networkSwitch()) && end.port().equals(place.port());
    }
}
