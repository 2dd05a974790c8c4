package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.seen.SeenWiring;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.wiring.LinkSeen;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.Worlds;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the network itself shows: who has an address, which lead is where. */
@Component
class NetTests {
    private final Worlds worlds;

    NetTests(Worlds worlds) {
        this.worlds = worlds;
    }

    /** It answers at its planned address, with its MAC where the network tells one. */
    Verdict address(Jobs.Stored stored, Device device) {
        Optional<Ipv4> planned = device.address();
        if (planned.isEmpty()) {
            return Verdict.cannotTell(Words.say("prove.no-address"));
        }
        try {
            return worlds.of(stored.id())
                    .reach(stored, planned.get())
                    .match(new AtAddress(stored, device, planned.get()));
        } catch (Problem e) {
            return Verdict.cannotTell(e.getMessage());
        }
    }

    private record AtAddress(Jobs.Stored stored, Device device, Ipv4 address)
            implements Reach.Cases<Verdict> {
        @Override
        public Verdict elsewhere(Reach.Elsewhere it) {
            return Verdict.cannotTell(said("prove.elsewhere", it.laptop()));
        }

        @Override
        public Verdict silent(Reach.Silent it) {
            return Verdict.failed("", said("prove.silent", ""));
        }

        @Override
        public Verdict fighting(Reach.Fighting it) {
            return Verdict.differs("", said("prove.fighting", it.all()))
                    .with(Topic.ALONE, String.join(", ", it.macs()), Outcome.DIFFERS);
        }

        @Override
        public Verdict one(Reach.One it) {
            Answering there = it.answering();
            String detail = said("prove.did.address", there.mac());
            boolean other =
                    !there.mac().isEmpty()
                            && !device.mac().isEmpty()
                            && !there.mac().equals(device.mac());
            Verdict verdict =
                    other
                            ? Verdict.differs("", said("prove.other-mac", there.mac()))
                            : Verdict.ok(address.toString(), detail);
            if (!there.mac().isEmpty()) {
                NewObservation mac = Observations.mac(device, there.mac());
                verdict = verdict.with(Topic.MAC, mac.value(), mac.outcome().orElseThrow());
            }
            return Observations.alone(stored, device).isPresent()
                    ? verdict.with(Topic.ALONE, "", Outcome.OK)
                    : verdict;
        }

        private String said(String key, String what) {
            return Words.say(
                    key,
                    Map.of(
                            "device", device.name(),
                            "address", address.toString(),
                            "mac", device.mac(),
                            "what", what));
        }
    }

    /** Its MAC is heard at the port that is planned for it. */
    Verdict link(Job plan, SeenWiring wiring, Device device) {
        return wiring.runs().stream()
                .filter(r -> r.device().id().equals(device.id()))
                .findFirst()
                .map(r -> LinkSeen.of(plan, r))
                .map(l -> new Verdict(l.outcome(), l.port(), l.detail()))
                .orElseGet(() -> Verdict.cannotTell(Words.say("prove.no-managed-switch")));
    }
}
