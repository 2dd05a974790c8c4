/** What a rule noticed: code, severity, facts and fixes. Imports {@code item} and {@code value}. */
package app.jerboa.core.finding;
