/**
 * What a job's bring-up is made of: who is new, who must wait for whom, what is done in each step.
 */
package app.jerboa.core.job.bringup;
