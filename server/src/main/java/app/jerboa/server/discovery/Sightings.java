package app.jerboa.server.discovery;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.discovery.Found;
import app.jerboa.core.job.discovery.Match;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What a look tells of devices of the plan. */
final class Sightings {
    private Sightings() {}

    /** A device that is only guessed, or not set yet, tells nothing of how it was set. */
    static List<NewObservation> of(Jobs.Stored stored, List<Match> matches) {
        List<NewObservation> all = new ArrayList<>();
        for (Match m : matches) {
            m.device().ifPresent(d -> add(stored, m, d, all));
        }
        return all;
    }

    private static void add(Jobs.Stored stored, Match m, Device d, List<NewObservation> all) {
        Found f = m.found();
        switch (m.verdict()) {
            case AS_PLANNED, ELSEWHERE -> {
                if (m.by() != Match.By.PROFILE) {
                    all.add(
                            Observations.address(
                                    d, f.address(), Evidence.ASKED, Words.say("discovery.did")));
                    f.macs().stream()
                            .findFirst()
                            .ifPresent(mac -> all.add(Observations.mac(d, mac)));
                    Observations.alone(stored, d).ifPresent(all::add);
                }
            }
            case ANOTHER ->
                    all.add(
                            NewObservation.of(
                                    d.id(),
                                    Topic.ADDRESS,
                                    "",
                                    Evidence.ASKED,
                                    Outcome.DIFFERS,
                                    Words.say(
                                            "discovery.another",
                                            Map.of(
                                                    "address", f.address(),
                                                    "mac", String.join(", ", f.macs()),
                                                    "device", d.name()))));
            case SECOND -> all.addAll(Observations.fought(d, f.address(), f.macs()));
            default -> {
                // At its start it is still to be set; what is unknown or the house's is no device.
            }
        }
    }
}
