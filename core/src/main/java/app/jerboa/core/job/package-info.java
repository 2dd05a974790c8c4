/**
 * The model of one installation and what the rules make of it. Imports {@code value}, {@code net}
 * and {@code profile}: it hands each discipline its facts and gathers the findings.
 */
package app.jerboa.core.job;
