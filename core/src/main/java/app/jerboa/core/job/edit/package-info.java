/**
 * Changes of a job: applied, refused, in conflict. What else a change must heed (how sockets may be
 * joined, say) is handed in as a {@link app.jerboa.core.job.edit.ChangeRule}, so that this package
 * knows the model and its texts only.
 */
package app.jerboa.core.job.edit;
