/**
 * What a job's bring-up is made of: what is new, which device waits for which, what is done in each
 * step.
 */
package app.jerboa.core.job.bringup;
