/** The shot lists of a job beside what its cameras keep and how fast they are. */
package app.jerboa.core.job.shot;
