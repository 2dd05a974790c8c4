package app.jerboa.core.job.proof;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.RandomJobs;
import app.jerboa.core.job.cabling.CabledHall;
import app.jerboa.core.job.cabling.seen.SeenRun.Place;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProofTest {
    private static final Instant NOW = Instant.parse("2026-05-04T10:00:00Z");
    private static final Profile HEAD =
            SomeProfiles.of("head", "Head", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .head(OptionalDouble.empty(), OptionalDouble.empty(), 1)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile SWITCH =
            SomeProfiles.of("switch", "Switch", Sort.POE_SWITCH)
                    .giving(8, 130)
                    .port("PORT", Join.ETHERNET, 8, PortUse.NETWORK)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK).keys(8, 1, false).profile();

    private final JobUnderTest plan = new JobUnderTest(HEAD, SWITCH, STICK);
    private final long stick = plan.device("Stick", STICK, Field.ADDRESS, "10.44.8.11");
    private final long camera =
            plan.device("L1", HEAD, Field.ADDRESS, "10.44.8.21", Field.PREFIX, "24");
    private final long line =
            plan.line(1, camera, Field.CONTROLLER, stick, Field.KEY, 1, Field.WANTS, "pan-tilt");
    private final long hub = plan.device("Switch", SWITCH);
    private final long run = plan.run(hub, "PORT 1", camera, "LAN", "data", 30);
    private final long mount = plan.mount(camera, Field.PLACE, "ceiling");

    private static Observed seen(Job job, Observation... more) {
        List<Observation> all = new ArrayList<>();
        for (Observation o : more) {
            all.add(
                    new Observation(
                            all.size() + 1,
                            o.device(),
                            o.topic(),
                            o.value(),
                            o.evidence(),
                            o.outcome(),
                            o.at(),
                            BasisFacts.of(job).of(o.device(), o.topic())));
        }
        return Observed.NONE.plus(all);
    }

    private static Observation one(
            long device, Topic topic, String value, Evidence evidence, Outcome outcome) {
        return Observation.of(
                new DeviceId(device),
                topic,
                value,
                evidence,
                Optional.ofNullable(outcome),
                NOW,
                Map.of());
    }

    private Observation ok(Topic topic) {
        return one(camera, topic, "", Evidence.ASKED, Outcome.OK);
    }

    private Proof all(Job job) {
        return Proof.of(
                job, seen(job, Topic.TESTS.stream().map(this::ok).toArray(Observation[]::new)));
    }

    private ItemRef item(String which) {
        return switch (which) {
            case "camera" -> new ItemRef(ItemKind.DEVICE, camera);
            case "stick" -> new ItemRef(ItemKind.DEVICE, stick);
            case "line" -> new ItemRef(ItemKind.LINE, line);
            case "mount" -> new ItemRef(ItemKind.MOUNT, mount);
            case "site" -> new ItemRef(ItemKind.SITE, 1);
            default -> new ItemRef(ItemKind.RUN, run);
        };
    }

    /** What changes, and which tests no longer hold. */
    @ParameterizedTest
    @CsvSource({
        "camera, name, Ceiling left, ''",
        "site, usualRun, 12, ''",
        "camera, address, 10.44.8.30, address key stream",
        "camera, gateway, 10.44.8.1, address",
        "camera, mac, 02:4a:00:00:00:01, address",
        "camera, format, 1080p25, iris white-balance input stream",
        "stick, address, 10.44.8.12, key",
        "line, key, 2, key",
        "line, controlId, 2, key",
        "mount, inverted, true, moves direction zoom focus stop preset",
        "camera, panRound, true, moves direction zoom focus stop preset",
        "camera, softLeft, -500, ''",
        "mount, panLimit, 90, ''",
        "run, fromPort, PORT 2, link",
        "run, poe, false, link",
        "run, metres, 12, ''",
        "run, label, K7, ''"
    })
    void aTestHoldsWhileWhatItRestsOnIsTheSame(
            String which, String field, String to, String stale) {
        Job before = plan.job();
        ItemRef ref = item(which);
        Field of = Field.fromWire(ref.kind(), field).orElseThrow();
        String was = JobItems.text(before.item(ref).orElseThrow(), of);
        Job after =
                plan.editor().apply(before, ChangeSet.edits(List.of(new Edit(ref, of, was, to))));
        List<ProveAgain> again = ProveAgain.of(all(before), after);
        assertThat(
                        again.stream()
                                .flatMap(a -> a.topics().stream())
                                .map(Topic::wire)
                                .collect(Collectors.joining(" ")))
                .isEqualTo(stale);
        Job back = plan.editor().apply(after, ChangeSet.edits(List.of(new Edit(ref, of, to, was))));
        assertThat(ProveAgain.of(all(before), back)).isEmpty();
    }

    /** First, second, and how the test stands then. */
    @ParameterizedTest
    @CsvSource({
        "asked OK, , ASKED",
        "told OK, , TOLD",
        "seen OK, , SEEN",
        "asked CANNOT_TELL, , CANNOT_TELL",
        "asked OK, asked FAILED, FAILED",
        "asked OK, seen DIFFERS, DIFFERS",
        "asked FAILED, asked OK, ASKED",
        "asked DIFFERS, seen OK, SEEN",
        "asked DIFFERS, told OK, DIFFERS",
        "seen FAILED, told OK, FAILED",
        "asked OK, told OK, TOLD",
        "asked OK, asked, ASKED",
        "asked, , OPEN"
    })
    void theNewestOutcomeDecidesButATickLiftsNothing(
            String first, String second, Standing.State state) {
        List<Observation> all = new ArrayList<>();
        for (String text : second == null ? List.of(first) : List.of(first, second)) {
            String[] words = text.split(" ", -1);
            all.add(
                    one(
                            camera,
                            Topic.MOVES,
                            "3",
                            Evidence.fromWire(words[0]).orElseThrow(),
                            words.length == 1 ? null : Outcome.valueOf(words[1])));
        }
        Job job = plan.job();
        Proof proof = Proof.of(job, seen(job, all.toArray(Observation[]::new)));
        assertThat(proof.standing(new DeviceId(camera), Topic.MOVES).state()).isEqualTo(state);
    }

    /** Of which device, what happened, what no longer holds of the camera. */
    @ParameterizedTest
    @ValueSource(strings = {"swap", "reset", "update", "knock"})
    void afterAMishapNothingOfADeviceHoldsForGood(String what) {
        Job job = plan.job();
        Observation happened = one(camera, Topic.HAPPENING, what, Evidence.SEEN, null);
        Proof proof = Proof.of(job, seen(job, ok(Topic.MOVES), happened, ok(Topic.STOP)));
        Standing moves = proof.standing(new DeviceId(camera), Topic.MOVES);
        assertThat(moves.state()).isEqualTo(Standing.State.STALE);
        assertThat(moves.why()).containsExactly(what);
        assertThat(proof.standing(new DeviceId(camera), Topic.STOP).state())
                .isEqualTo(Standing.State.ASKED);
    }

    @Test
    void aResetDeviceIsNotWhereItWasFoundAndAKeyGoesWithItsController() {
        Job job = plan.job();
        Observation at = one(camera, Topic.ADDRESS, "10.44.8.21", Evidence.ASKED, Outcome.OK);
        Observation reset = one(camera, Topic.HAPPENING, "reset", Evidence.SEEN, null);
        assertThat(seen(job, at).found()).hasSize(1);
        assertThat(seen(job, at, reset).found()).isEmpty();
        assertThat(seen(job, at, reset, at).found()).hasSize(1);
        Observation knocked = one(stick, Topic.HAPPENING, "knock", Evidence.SEEN, null);
        Proof proof = Proof.of(job, seen(job, ok(Topic.KEY), ok(Topic.MOVES), knocked));
        assertThat(proof.standing(new DeviceId(camera), Topic.KEY).state())
                .isEqualTo(Standing.State.STALE);
        assertThat(proof.standing(new DeviceId(camera), Topic.MOVES).state())
                .isEqualTo(Standing.State.ASKED);
    }

    /** What is seen, whether a finding stops or was accepted, and the mark. */
    @ParameterizedTest
    @CsvSource({
        "nothing, false, false, PLANNED",
        "nothing, false, true, WAIVED",
        "nothing, true, false, STOPPED",
        "address, false, false, SET",
        "address, true, false, SET",
        "address, false, true, SET",
        "elsewhere, false, false, DIFFERS",
        "failed, false, false, DIFFERS",
        "all, false, false, PROVED",
        "all, true, false, PROVED",
        "old, false, false, STALE"
    })
    void aMarkIsOneWordForAllThatIsKnown(String known, boolean stopped, boolean waived, Mark mark) {
        Job job = plan.job();
        Observation address = one(camera, Topic.ADDRESS, "10.44.8.21", Evidence.ASKED, Outcome.OK);
        List<Observation> seen = new ArrayList<>();
        switch (known) {
            case "address" -> seen.add(address);
            case "elsewhere" ->
                    seen.add(
                            one(
                                    camera,
                                    Topic.ADDRESS,
                                    "10.44.8.99",
                                    Evidence.SEEN,
                                    Outcome.DIFFERS));
            case "failed" ->
                    seen.addAll(
                            List.of(
                                    address,
                                    one(camera, Topic.STOP, "", Evidence.ASKED, Outcome.FAILED)));
            case "all" -> {
                Topic.TESTS.forEach(t -> seen.add(ok(t)));
                seen.add(address);
            }
            case "old" -> {
                seen.add(address);
                seen.add(one(camera, Topic.HAPPENING, "knock", Evidence.SEEN, null));
            }
            default -> assertThat(known).isEqualTo("nothing");
        }
        Observed observed = seen(job, seen.toArray(Observation[]::new));
        Proof proof = Proof.of(job.with(observed.found()), observed);
        assertThat(
                        proof.mark(
                                proof.job().device(new DeviceId(camera)).orElseThrow(),
                                stopped,
                                waived))
                .isEqualTo(mark);
    }

    /** It answers over a lead, so that no address can say that it is there. */
    @ParameterizedTest
    @CsvSource({
        "CONTROL, OK, SET",
        "CONTROL, FAILED, DIFFERS",
        "CONTROL_ID, OK, PLANNED",
    })
    void whatHasNoAddressIsSetOnceItAnswers(Topic topic, Outcome outcome, Mark mark) {
        JobUnderTest serial = new JobUnderTest(CabledHall.SERIAL_HEAD);
        long head = serial.device("L1", CabledHall.SERIAL_HEAD);
        serial.line(1, head);
        Job job = serial.job();
        Proof proof = Proof.of(job, seen(job, one(head, topic, "", Evidence.ASKED, outcome)));
        assertThat(proof.mark(job.device(new DeviceId(head)).orElseThrow(), false, false))
                .isEqualTo(mark);
    }

    @Test
    void whatDoesNotApplySaysWhy() {
        Proof proof = Proof.of(plan.job(), Observed.NONE);
        Map<Topic, Standing> tests = proof.tests(proof.job().lines().get(0));
        assertThat(tests).hasSize(14);
        assertThat(tests.get(Topic.MOVES).state()).isEqualTo(Standing.State.OPEN);
        assertThat(tests.get(Topic.IRIS).why()).containsExactly("not-wanted");
        assertThat(tests.get(Topic.INPUT).why()).containsExactly("no-input");
        assertThat(tests.get(Topic.PRESET).why()).containsExactly("no-presets");
        assertThat(proof.count(proof.job().lines().get(0))).isEqualTo(new Proof.Count(0, 6));
    }

    /** What differs, its value, what happened after: the kind of words that each finding gets. */
    @ParameterizedTest
    @CsvSource({
        "MAC, 02:4a:00:00:00:07, , 'EVID-DIFFERS:'",
        "LINK, Switch PORT 2, , 'WIRE-DIFFERS:'",
        "LINK, 'Switch PORT 1, 10 Mb/s', , WIRE-DIFFERS:slow",
        "LINK, PORT 2, , 'WIRE-DIFFERS:'",
        "LINK, '', , WIRE-DIFFERS:unsaid",
        "STREAM, 'h264, 1280 x 720 px, 25/s', , 'STREAM-DIFFERS:'",
        "STREAM, '', , STREAM-DIFFERS:unsaid",
        "CERTIFICATE, 9f:86:d0:81:88:4c:7d:65, , CERT-CHANGED:null",
        "CONTROL_ID, 3, , EVID-DIFFERS:plain",
        "DIRECTION, '', , EVID-DIFFERS:unsaid",
        "LINK, PORT 2, knock, EVID-STALE:knock",
        "DIRECTION, '', swap, EVID-STALE:swap"
    })
    void aFindingSaysOnlyWhatIsKnown(Topic topic, String value, String happened, String worded) {
        Job job = plan.job();
        List<Observation> seen = new ArrayList<>();
        seen.add(one(camera, topic, value, Evidence.SEEN, Outcome.DIFFERS));
        if (happened != null) {
            seen.add(one(camera, Topic.HAPPENING, happened, Evidence.SEEN, null));
        }
        Proof proof = Proof.of(job, seen(job, seen.toArray(Observation[]::new)));
        assertThat(ProofFindings.of(proof))
                .extracting(f -> f.code().code() + ":" + f.facts().get("what"))
                .containsExactly(worded);
    }

    @Test
    void thePlanCanFollowWhatWasFound() {
        Job job = plan.job();
        Observation mac =
                one(camera, Topic.MAC, "02:4a:00:00:00:07", Evidence.ASKED, Outcome.DIFFERS);
        Proof proof = Proof.of(job, seen(job, mac, ok(Topic.STOP)));
        assertThat(ProofFindings.of(proof)).hasSize(1);
        ChangeSet fix = ProofFindings.of(proof).get(0).fixes().get(0).changes();
        assertThat(JobUnderTest.text(fix.edits().get(0))).endsWith("mac >02:4a:00:00:00:07");
        Proof after = Proof.of(plan.editor().apply(job, fix), proof.observed());
        assertThat(ProofFindings.of(after))
                .extracting(f -> f.code().code(), f -> f.facts().get("tests"))
                .containsExactly(org.assertj.core.groups.Tuple.tuple("EVID-STALE", "mac"));
    }

    /** Where its MAC is heard, and what makes the plan say so: only what can be done alone. */
    @ParameterizedTest
    @CsvSource({
        "Switch PORT 2, fromPort PORT 1>PORT 2",
        "'Switch PORT 2, 10 Mb/s', fromPort PORT 1>PORT 2",
        "'Switch PORT 1, 10 Mb/s', ''",
        "Switch PORT 3, ''",
        "Switch PORT 9, ''",
        "Renamed PORT 2, ''",
        "PORT 2, ''",
        "Switch, ''",
    })
    void thePlanOfALeadFollowsToAFreePort(String heard, String edit) {
        long other = plan.device("L2", HEAD);
        plan.run(hub, "PORT 3", other, "LAN", "data", 30);
        Job job = plan.job();
        Observation link = one(camera, Topic.LINK, heard, Evidence.ASKED, Outcome.DIFFERS);
        Finding finding = ProofFindings.of(Proof.of(job, seen(job, link))).get(0);
        assertThat(finding.facts()).containsEntry("planned", "Switch PORT 1");
        assertThat(
                        finding.fixes().stream()
                                .flatMap(f -> f.changes().edits().stream())
                                .map(e -> e.field().wire() + " " + e.before() + ">" + e.after())
                                .collect(Collectors.joining()))
                .isEqualTo(edit);
        finding.fixes()
                .forEach(f -> assertThat(plan.editor().apply(job, f.changes())).isNotEqualTo(job));
    }

    /** Written and read in one place: whatever the switches are called. */
    @ParameterizedTest
    @ValueSource(strings = {"Switch 2", "Rack, left", "Switch PORT"})
    void aPortIsReadAsItIsWritten(String name) {
        plan.device(name, SWITCH);
        Job job = plan.job();
        List<Device> switches =
                job.devices().stream().filter(d -> d.profile().equals(SWITCH)).toList();
        for (Device d : switches) {
            for (DeviceSocket socket : DeviceSocket.of(SWITCH)) {
                Place place = new Place(d.id(), socket.name());
                assertThat(Place.read(switches, place.words(job))).contains(place);
                assertThat(Place.read(switches, place.words(job) + ", 10 Mb/s")).contains(place);
            }
        }
        assertThat(Place.read(switches, "PORT 1")).isEmpty();
    }

    @Test
    void whatHangsWhereNoLeadIsPlannedIsSaidSo() {
        long bare = plan.device("L2", HEAD);
        Job job = plan.job();
        Observation link = one(bare, Topic.LINK, "Switch PORT 4", Evidence.ASKED, Outcome.DIFFERS);
        Finding finding = ProofFindings.of(Proof.of(job, seen(job, link))).get(0);
        assertThat(finding.facts()).containsEntry("what", "unplanned").containsEntry("planned", "");
        assertThat(finding.fixes()).isEmpty();
    }

    /** It rests on no plan: only what happens to the device makes it old. */
    @Test
    void aCertificateIsItsOwnWhateverIsPlanned() {
        Job job = plan.job();
        Observed seen =
                seen(job, one(camera, Topic.CERTIFICATE, "9f", Evidence.ASKED, Outcome.DIFFERS));
        ItemRef ref = new ItemRef(ItemKind.DEVICE, camera);
        Job moved =
                plan.editor()
                        .apply(
                                job,
                                ChangeSet.edits(
                                        List.of(
                                                new Edit(
                                                        ref,
                                                        Field.ADDRESS,
                                                        "10.44.8.21",
                                                        "10.44.8.30"))));
        assertThat(ProofFindings.of(Proof.of(moved, seen)))
                .extracting(f -> f.code().code())
                .containsExactly("CERT-CHANGED");
    }

    /** Any changes, taken back again: stale is what reads another text, and nothing after undo. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void staleIsExactlyWhatReadsAnotherText(long seed) {
        JobEditor editor = new JobEditor(RandomJobs.SHELF);
        for (int round = 0; round < 40; round++) {
            RandomJobs random = new RandomJobs(seed * 1000 + round);
            Job before = editor.read(random.items());
            Observation[] each =
                    before.devices().stream()
                            .map(
                                    d ->
                                            one(
                                                    d.id().value(),
                                                    Topic.FIRMWARE,
                                                    "1.0",
                                                    Evidence.ASKED,
                                                    Outcome.OK))
                            .toArray(Observation[]::new);
            Observed observed = seen(before, each);
            ChangeSet change = random.command(before);
            Job after = editor.apply(before, change);
            Proof proof = Proof.of(after, observed);
            for (var d : before.devices()) {
                boolean same =
                        after.device(d.id()).isPresent()
                                && texts(after, d.id()).equals(texts(before, d.id()));
                assertThat(proof.standing(d.id(), Topic.FIRMWARE).state())
                        .as("%s after %s", d.id(), change)
                        .isEqualTo(same ? Standing.State.ASKED : Standing.State.STALE);
            }
            Proof undone = Proof.of(editor.apply(after, change.inverse()), observed);
            assertThat(before.devices())
                    .allMatch(d -> undone.standing(d.id(), Topic.FIRMWARE).proves());
        }
    }

    private static List<String> texts(Job job, DeviceId device) {
        Item item = JobItems.item(job.device(device).orElseThrow());
        return List.of(
                item.text(Field.PROFILE),
                item.text(Field.ADDRESS),
                item.text(Field.PREFIX),
                item.text(Field.GATEWAY),
                item.text(Field.MAC));
    }
}
