/**
 * Looking for devices on a network: which addresses are asked, and which device of the plan each
 * answer is. What asks is elsewhere; here is what it may ask and what the answers mean.
 */
package app.jerboa.core.job.discovery;
