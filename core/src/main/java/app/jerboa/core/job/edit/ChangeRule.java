package app.jerboa.core.job.edit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.job.Job;

/** What a change must heed beyond the texts of its items. */
public interface ChangeRule {
    /**
     * @param after the job as the changes make it
     * @throws app.jerboa.core.job.text.ItemRejected for the first item that the rule refuses
     */
    void check(Job after, ChangeSet changes);
}
