package app.jerboa.core.job.proof;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A device as it was found beside as it is planned: of each fact that a device or the network
 * tells, the newest.
 */
public record AsFound(Device device, List<FoundFact> facts) {
    /** What can be told of a device without a person looking. */
    public static final List<Topic> TOLD =
            List.of(
                    Topic.ADDRESS,
                    Topic.MAC,
                    Topic.ALONE,
                    Topic.CERTIFICATE,
                    Topic.LINK,
                    Topic.FIRMWARE,
                    Topic.ACCESS,
                    Topic.CONTROL,
                    Topic.STREAM);

    /** The fields of the plan that can follow what was found. */
    private static final Map<Topic, Field> FIELDS =
            Map.of(
                    Topic.ADDRESS, Field.ADDRESS,
                    Topic.MAC, Field.MAC,
                    Topic.FIRMWARE, Field.FIRMWARE,
                    Topic.FORMAT, Field.FORMAT_SET);

    /**
     * One fact.
     *
     * @param planned as the plan has it; blank where it has none, or says nothing of it
     * @param found the newest value; blank where the outcome says all
     * @param by what decides how it stands
     * @param follow the edit by which the plan takes over what was found; empty where they agree
     */
    public record FoundFact(
            Topic topic,
            String planned,
            String found,
            Observation by,
            Standing standing,
            Optional<Edit> follow) {
        /** The plan says nothing of it: what was found can be noted without a second thought. */
        public boolean fills() {
            return follow.isPresent() && planned.isBlank();
        }
    }

    public AsFound {
        facts = List.copyOf(facts);
    }

    /** The field that can follow what was found of a topic. */
    static Optional<Field> field(Topic topic) {
        return Optional.ofNullable(FIELDS.get(topic));
    }

    /** Of every device of which something was asked or seen, in their order. */
    public static List<AsFound> of(Proof proof) {
        List<AsFound> all = new ArrayList<>();
        for (Device d : proof.job().devices()) {
            List<FoundFact> facts = TOLD.stream().flatMap(t -> fact(proof, d, t).stream()).toList();
            if (!facts.isEmpty()) {
                all.add(new AsFound(d, facts));
            }
        }
        return all;
    }

    private static Optional<FoundFact> fact(Proof proof, Device d, Topic topic) {
        Observed observed = proof.observed();
        return observed.deciding(d.id(), topic)
                .map(
                        o -> {
                            String planned = PlannedFact.of(proof.job(), d, topic);
                            String found = found(observed, o);
                            Optional<Edit> follow =
                                    field(topic)
                                            .filter(f -> !found.isBlank())
                                            .filter(f -> !planned.equals(found))
                                            .map(f -> new Edit(d.ref(), f, planned, found));
                            return new FoundFact(
                                    topic,
                                    planned,
                                    found,
                                    o,
                                    proof.standing(d.id(), topic),
                                    follow);
                        });
    }

    /** Nobody answered where it is planned: where it was seen before says more than nothing. */
    private static String found(Observed observed, Observation o) {
        boolean nothing = o.value().isBlank() && o.bad();
        return nothing
                ? observed.value(o.device(), o.topic()).map(Observation::value).orElse("")
                : o.value();
    }
}
