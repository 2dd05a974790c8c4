/** Findings as people read them: one catalogue turns code and facts into what, why and fix. */
package app.jerboa.server.findings;
