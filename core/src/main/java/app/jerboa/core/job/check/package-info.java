/** All findings of a job, gathered from the disciplines, each of which says what it reads. */
package app.jerboa.core.job.check;
