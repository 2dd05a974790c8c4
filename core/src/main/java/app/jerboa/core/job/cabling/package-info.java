/**
 * Sockets joined by runs: what may be joined, what is fed by what, chains, buses and picture paths.
 * Plans over {@code job}, {@code profile} and the disciplines; nothing is null.
 */
package app.jerboa.core.job.cabling;
