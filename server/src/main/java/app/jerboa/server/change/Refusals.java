package app.jerboa.server.change;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.ChangeConflict;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.server.platform.Problem;
import java.util.Map;
import org.springframework.http.HttpStatus;

/** Why a change was not made, in words for whoever wanted it. */
final class Refusals {
    private Refusals() {}

    static Problem nothingTo(String what, String sentence) {
        return new Problem(HttpStatus.CONFLICT, "nothing-to-" + what, sentence);
    }

    static Problem notYours() {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "not-yours-to-write",
                "What a device was seen to do, who waived a finding, what a secret is, and the numbers of items are written by Jerboa itself. Nothing was changed.");
    }

    static Problem rejected(Job job, ItemRejected e) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "text-rejected",
                "\""
                        + shortened(e.text().input())
                        + "\" was not taken as "
                        + e.field().wire()
                        + " of "
                        + name(job, e.item())
                        + ": "
                        + e.text().reason()
                        + ".",
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
                .map(i -> CommandWords.name(JobItems.item(i)))
                .orElse("the new " + ref.kind().wire());
    }

    static Problem conflict(Job job, ChangeConflict e) {
        Edit edit = e.edit();
        return new Problem(
                HttpStatus.CONFLICT,
                "changed-meanwhile",
                name(job, edit.item())
                        + ": the "
                        + edit.field().wire()
                        + " is now \""
                        + shortened(e.actual())
                        + "\", not \""
                        + shortened(edit.before())
                        + "\" as when you started. Nothing was changed; look at both values and decide.",
                Map.of(
                        "item", edit.item().kind().wire(),
                        "id", edit.item().id(),
                        "field", edit.field().wire(),
                        "theirs", e.actual(),
                        "yours", edit.after()));
    }
}
