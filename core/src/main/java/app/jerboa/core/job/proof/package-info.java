/**
 * What is known of an installation beside its plan: observations, what they rest on, and what they
 * come to. Observations are only ever added; how each stands is worked out from them and the plan
 * as it is now.
 */
package app.jerboa.core.job.proof;
