package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.OwnProfile;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.knob.Choice;
import app.jerboa.core.knob.Does;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.knob.TurnedRound;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobBodies.KnobBody;
import app.jerboa.server.knobs.KnobBodies.KnobChoice;
import app.jerboa.server.knobs.KnobBodies.KnobCondition;
import app.jerboa.server.knobs.KnobBodies.ToldView;
import app.jerboa.server.knobs.KnobBodies.VerbBody;
import app.jerboa.server.world.Contacts;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What the cameras of a job can be told, in which language, and what a lead must approve first. */
@Component
class KnobViews {
    private final ApprovalMapper approvals;
    private final Contacts contacts;

    KnobViews(ApprovalMapper approvals, Contacts contacts) {
        this.contacts = contacts;
        this.approvals = approvals;
    }

    List<ToldView> all(Jobs.Stored stored) {
        DeskWays ways = contacts.ways(stored);
        return stored.job().devices().stream()
                .filter(d -> d.profile().kind() == DeviceKind.CAMERA)
                .filter(d -> !d.profile().knobs().isEmpty() || !d.profile().verbs().isEmpty())
                .map(d -> view(stored, d, Teller.tongues(ways.told(d), d)))
                .toList();
    }

    private ToldView view(Jobs.Stored stored, Device d, Set<Tongue> tongues) {
        return new ToldView(
                d.id().value(),
                d.name(),
                d.profile().knobs().stream().map(k -> knob(k, tongues)).toList(),
                d.profile().verbs().stream().map(v -> verb(stored, d, v, tongues)).toList(),
                d.profile().paintNeeds());
    }

    private static String in(List<Saying> said, Set<Tongue> tongues) {
        return Teller.said(said, tongues).map(s -> SentWords.tongue(s.in())).orElse("");
    }

    private static KnobBody knob(Knob k, Set<Tongue> tongues) {
        return new KnobBody(
                k.name(),
                k.use().toString(),
                k.least(),
                k.most(),
                k.neutral(),
                k.unit(),
                k.effect(),
                k.readable(),
                k.doing().toString(),
                k.choices().stream().map(KnobViews::choice).toList(),
                conditions(k.only()),
                in(k.said(), tongues));
    }

    private static KnobChoice choice(Choice c) {
        return new KnobChoice(c.name(), c.value(), c.turns().map(TurnedRound::toString).orElse(""));
    }

    private static List<KnobCondition> conditions(List<OnlyWhen> only) {
        return only.stream().map(o -> new KnobCondition(o.knob(), o.in())).toList();
    }

    private VerbBody verb(Jobs.Stored stored, Device d, Verb v, Set<Tongue> tongues) {
        Optional<Saying> said = Teller.said(v.sayings(), tongues);
        boolean approved =
                said.map(s -> approved(stored, d, v.name(), v.does(), SentWords.telling(s)))
                        .orElse(false);
        return new VerbBody(
                v.name(),
                v.does().toString(),
                v.does().grave(),
                approved,
                conditions(v.only()),
                in(v.sayings(), tongues));
    }

    /** Needed for what is grave in a profile of the job's own: that came from outside. */
    boolean approved(Jobs.Stored stored, Device d, String what, Does does, String sent) {
        return !does.grave()
                || own(stored, d).isEmpty()
                || approvals.approved(stored.id(), d.profile().id(), what, sent);
    }

    private static Optional<OwnProfile> own(Jobs.Stored stored, Device d) {
        return stored.job().profiles().stream()
                .filter(p -> p.profile().id().equals(d.profile().id()))
                .findFirst();
    }
}
