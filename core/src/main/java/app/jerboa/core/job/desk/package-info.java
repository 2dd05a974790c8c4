/** How this program itself reaches the heads of a job, from the machine that it runs on. */
package app.jerboa.core.job.desk;
