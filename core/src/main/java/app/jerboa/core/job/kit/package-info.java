/**
 * The kit of a job: adding, removing, reading it out of a sheet, what must be done before the van
 * leaves, and the checks of what lies in the cases.
 */
package app.jerboa.core.job.kit;
