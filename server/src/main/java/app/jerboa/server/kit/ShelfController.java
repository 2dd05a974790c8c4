package app.jerboa.server.kit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.OwnProfile;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.profile.ProfileRejected;
import app.jerboa.server.profile.ProfileSchema;
import app.jerboa.server.profile.Profiles;
import app.jerboa.server.view.JobPatch;
import app.jerboa.server.view.JobViews;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** The shelf of a job: the profiles that ship, and its own, made, changed and carried as files. */
@RestController
class ShelfController {
    /**
     * A profile on the shelf.
     *
     * @param own item number of the job's own; none for one that ships
     * @param factoryAddress empty when it has no fixed one
     * @param keys how many cameras it selects, of a controller
     */
    record ShelfProfile(
            String id,
            String name,
            String kind,
            String sort,
            String summary,
            Optional<Long> own,
            String factoryAddress,
            int bootSeconds,
            Optional<Integer> keys,
            boolean counting) {
        static ShelfProfile of(Profile p, Optional<Long> own) {
            return new ShelfProfile(
                    p.id(),
                    p.name(),
                    p.kind().wire(),
                    p.sort().toString(),
                    p.summary(),
                    own,
                    p.factory().map(FactoryAddress::address).map(Ipv4::toString).orElse(""),
                    p.bootSeconds(),
                    p.keys().map(Keys::count),
                    p.keys().map(Keys::counting).orElse(false));
        }
    }

    /**
     * All facts of one profile.
     *
     * @param facts by the published schema
     * @param implies what they mean for the work, in sentences
     */
    record ProfileBody(Optional<Long> own, Map<String, Object> facts, List<String> implies) {}

    /** A changed profile, with what it was when the change began. */
    record ChangedProfile(Map<String, Object> was, Map<String, Object> facts) {}

    private final Commands commands;
    private final Jobs jobs;
    private final JobViews views;
    private final Profiles profiles;
    private final JsonMapper json;

    ShelfController(
            Commands commands, Jobs jobs, JobViews views, Profiles profiles, JsonMapper json) {
        this.commands = commands;
        this.jobs = jobs;
        this.views = views;
        this.profiles = profiles;
        this.json = json;
    }

    /** The published schema of profiles, from which forms and pages are made. */
    @GetMapping("/api/profiles/schema")
    Map<String, Object> schema() {
        return map(ProfileSchema.schema().toString());
    }

    @SuppressWarnings("unchecked")
    private Map<String, Object> map(String text) {
        return json.readValue(text, Map.class);
    }

    /** The job's own first, then what ships, each by name. */
    @GetMapping("/api/jobs/{job}/profiles")
    List<ShelfProfile> shelf(@PathVariable("job") long job) {
        Comparator<ShelfProfile> byName = Comparator.comparing(ShelfProfile::name);
        return Stream.concat(
                        jobs.load(job).job().profiles().stream()
                                .map(o -> ShelfProfile.of(o.profile(), Optional.of(o.id())))
                                .sorted(byName),
                        profiles.all().stream()
                                .map(p -> ShelfProfile.of(p, Optional.empty()))
                                .sorted(byName))
                .toList();
    }

    @GetMapping("/api/jobs/{job}/profiles/{id}")
    ProfileBody profile(@PathVariable("job") long job, @PathVariable("id") String id) {
        Job stored = jobs.load(job).job();
        Profile profile = need(stored, id);
        return new ProfileBody(
                own(stored, id), map(profiles.facts(profile)), Implications.of(profile));
    }

    private Profile need(Job job, String id) {
        return jobs.editor().shelf(job).find(id).orElseThrow(() -> Problem.notFound("profile"));
    }

    private static Optional<Long> own(Job job, String id) {
        return job.profiles().stream()
                .filter(o -> o.profile().id().equals(id))
                .map(OwnProfile::id)
                .findFirst();
    }

    /** One file, to be taken to another job. */
    @GetMapping("/api/jobs/{job}/profiles/{id}/file")
    ResponseEntity<String> file(@PathVariable("job") long job, @PathVariable("id") String id) {
        Profile profile = need(jobs.load(job).job(), id);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(profile.id() + ".profile.json")
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_JSON)
                .body(profiles.file(profile));
    }

    /** A profile of the job's own, copied from another or out of a file. */
    @PostMapping("/api/jobs/{job}/profiles")
    @Needs(Right.PLAN)
    JobPatch add(
            @PathVariable("job") long job,
            @RequestBody Map<String, Object> facts,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Profile profile = insist(facts);
        if (jobs.editor().shelf(jobs.load(job).job()).find(profile.id()).isPresent()) {
            throw taken(profile.id());
        }
        Item item =
                new Item(
                        new ItemRef(ItemKind.PROFILE, -1),
                        Map.of(Field.FACTS, profiles.facts(profile)));
        return views.patch(commands.apply(job, ChangeSet.adding(item), person), person);
    }

    private static Problem taken(String id) {
        return new Problem(
                HttpStatus.CONFLICT,
                "profile-id-taken",
                Words.say("refused.profile-id", Map.of("id", id)),
                Map.of(
                        "problems",
                        List.of(new ProfileRejected.Wrong("/id", Words.say("refused.id-taken")))));
    }

    @PutMapping("/api/jobs/{job}/profiles/{item}")
    @Needs(Right.PLAN)
    JobPatch change(
            @PathVariable("job") long job,
            @PathVariable("item") long item,
            @RequestBody ChangedProfile body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        String before = profiles.facts(insist(body.was()));
        String after = profiles.facts(insist(body.facts()));
        ItemRef ref = new ItemRef(ItemKind.PROFILE, item);
        return views.patch(
                commands.apply(
                        job,
                        ChangeSet.edits(List.of(new Edit(ref, Field.FACTS, before, after))),
                        person),
                person);
    }

    private Profile insist(Map<String, Object> facts) {
        try {
            return profiles.insist(json.writeValueAsString(facts));
        } catch (ProfileRejected e) {
            String places =
                    e.wrong().stream()
                            .limit(3)
                            .map(w -> w.at().isEmpty() ? w.reason() : w.at() + ": " + w.reason())
                            .collect(Collectors.joining("; "));
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "profile-rejected",
                    Words.say("refused.profile", Map.of("places", places)),
                    Map.of("problems", e.wrong()));
        }
    }
}
