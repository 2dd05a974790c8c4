package app.jerboa.server.profile;

import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.ProfileCheck;
import app.jerboa.server.platform.InnerJson;
import app.jerboa.server.profile.ProfileRejected.Wrong;
import app.jerboa.server.words.Words;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Profiles from JSON and back: kept to the schema, then checked against themselves. */
@Component
class ProfileReader {
    private static final int LONGEST = 60_000;
    private static final double LARGEST = 1e12;

    private final JsonMapper json;
    private final JsonMapper terse;
    private final Schema schema =
            SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(ProfileSchema.schema());

    ProfileReader(InnerJson json) {
        this.json = json.mapper();
        this.terse =
                this.json
                        .rebuild()
                        .changeDefaultPropertyInclusion(
                                i -> i.withValueInclusion(JsonInclude.Include.NON_EMPTY))
                        .build();
    }

    /**
     * @throws ProfileRejected with every place that is wrong
     */
    Profile read(String text) {
        if (text.length() > LONGEST) {
            throw rejected("", Words.say("profile.long", Map.of("most", LONGEST)));
        }
        JsonNode tree;
        try {
            tree = json.readTree(text);
        } catch (JacksonException e) {
            throw rejected("", Words.say("profile.json"));
        }
        OldForms.renew(tree);
        List<Wrong> tooLarge = new ArrayList<>();
        noteLarge(tree, "", tooLarge);
        if (!tooLarge.isEmpty()) {
            throw new ProfileRejected(tooLarge);
        }
        List<Wrong> outside =
                schema.validate(tree).stream()
                        .map(e -> new Wrong(e.getInstanceLocation().toString(), e.getMessage()))
                        .toList();
        if (!outside.isEmpty()) {
            throw new ProfileRejected(outside);
        }
        return agreeing(typed(tree));
    }

    /** Before the schema is asked, which reads whole numbers as 64 bits. */
    private static void noteLarge(JsonNode node, String at, List<Wrong> wrong) {
        if (node.isNumber() && !(Math.abs(node.doubleValue()) <= LARGEST)) {
            wrong.add(new Wrong(at, Words.say("profile.number")));
        }
        node.forEachEntry((name, value) -> noteLarge(value, at + "/" + name, wrong));
        if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                noteLarge(node.get(i), at + "/" + i, wrong);
            }
        }
    }

    private Profile typed(JsonNode tree) {
        try {
            return json.treeToValue(tree, Profile.class);
        } catch (JacksonException e) {
            Throwable cause = e.getCause() == null ? e : e.getCause();
            throw rejected("/" + String.join("/", path(e)), String.valueOf(cause.getMessage()));
        }
    }

    private static List<String> path(JacksonException e) {
        return e.getPath().stream()
                .map(r -> r.getPropertyName() == null ? "" + r.getIndex() : r.getPropertyName())
                .toList();
    }

    private static Profile agreeing(Profile profile) {
        List<Wrong> inside = new ArrayList<>();
        ProfileCheck.of(profile).forEach(d -> inside.add(new Wrong(d.at(), Words.say(d.reason()))));
        inside.addAll(SayingCheck.of(profile));
        // Only of frames that can be filled.
        if (inside.isEmpty()) {
            inside.addAll(AxisSafety.of(profile));
        }
        if (!inside.isEmpty()) {
            throw new ProfileRejected(inside);
        }
        return profile;
    }

    private static ProfileRejected rejected(String at, String reason) {
        return new ProfileRejected(List.of(new Wrong(at, reason)));
    }

    /** The one way a profile is written: what is none is left out. */
    String write(Profile profile) {
        return terse.writeValueAsString(profile);
    }

    /** As {@link #write}, for a file that people read. */
    String pretty(Profile profile) {
        return terse.writerWithDefaultPrettyPrinter().writeValueAsString(profile) + "\n";
    }
}
