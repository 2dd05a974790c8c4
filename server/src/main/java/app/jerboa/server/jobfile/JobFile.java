package app.jerboa.server.jobfile;

import app.jerboa.core.item.Item;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.proof.Observations;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a job file holds.
 *
 * @param found where devices were found, by their place in the list: a field of theirs in files of
 *     before
 * @param logJson the logbook's lines as a JSON array
 * @param sealedSecrets the secrets under a passphrase; empty when there are none
 */
record JobFile(
        List<Item> items,
        Map<Integer, Ipv4> found,
        String logJson,
        Optional<String> sealedSecrets) {
    /** Told by the file; of a job that was made of these items. */
    List<NewObservation> observations(Job job) {
        List<NewObservation> told = new ArrayList<>();
        found.forEach(
                (at, address) ->
                        job.device(new DeviceId(items.get(at).ref().id()))
                                .map(
                                        d ->
                                                Observations.address(
                                                        d,
                                                        address,
                                                        Evidence.TOLD,
                                                        "from a job file"))
                                .ifPresent(told::add));
        return told;
    }
}
