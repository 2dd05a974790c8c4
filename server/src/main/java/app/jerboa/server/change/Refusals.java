package app.jerboa.server.change;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.ChangeConflict;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/** Why a change was not made, in words for whoever wanted it. */
final class Refusals {
    private Refusals() {}

    /**
     * @param what undo or redo
     */
    static Problem nothingTo(String what) {
        return new Problem(
                HttpStatus.CONFLICT, "nothing-to-" + what, Words.say("refused.nothing-to-" + what));
    }

    static Problem noChange() {
        return new Problem(
                HttpStatus.BAD_REQUEST, "nothing-to-change", Words.say("refused.no-change"));
    }

    static Problem notYours() {
        return new Problem(
                HttpStatus.BAD_REQUEST, "not-yours-to-write", Words.say("refused.not-yours"));
    }

    static Problem rejected(Job job, ItemRejected e) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "text-rejected",
                Words.say(
                        "refused.text",
                        Map.of(
                                "text", shortened(e.text().input()),
                                "field", FieldWords.of(e.field()),
                                "item", name(job, e.item()),
                                "reason", Words.say(e.text().reason()))),
                Map.of(
                        "field",
                        e.field().wire(),
                        "item",
                        e.item().kind().wire(),
                        "id",
                        e.item().id(),
                        "index",
                        e.text().index()));
    }

    static String shortened(String text) {
        return text.length() <= 60 ? text : text.substring(0, 60) + "…";
    }

    static String name(Job job, ItemRef ref) {
        return job.item(ref)
                .map(i -> CommandWords.name(job, JobItems.item(i)))
                .orElseGet(() -> Words.say("refused.new-item", Map.of("kind", ref.kind().wire())));
    }

    static Problem conflict(Job job, ChangeConflict e) {
        Edit edit = e.edit();
        return new Problem(
                HttpStatus.CONFLICT,
                "changed-meanwhile",
                Words.say(
                        "refused.meanwhile",
                        Map.of(
                                "item", name(job, edit.item()),
                                "field", FieldWords.of(edit.field()),
                                "now", shortened(e.actual()),
                                "was", shortened(edit.before()))),
                Map.of(
                        "item", edit.item().kind().wire(),
                        "id", edit.item().id(),
                        "field", edit.field().wire(),
                        "theirs", e.actual(),
                        "yours", edit.after()));
    }

    /**
     * Why a command cannot be taken back or done again.
     *
     * @param by who changed the same field in between, where it is known
     */
    static String since(Job job, ChangeConflict e, Optional<String> by) {
        return Words.say(
                by.isPresent() ? "refused.since-by" : "refused.since",
                Map.of(
                        "item", name(job, e.edit().item()),
                        "field", FieldWords.of(e.edit().field()),
                        "person", by.orElse(""),
                        "now", shortened(e.actual())));
    }
}
