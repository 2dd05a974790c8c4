/** Stateless calculators for anybody: same code as the job's checks. */
package app.jerboa.server.sums;
