/** What a stored view of a camera holds, and what it does not. */
package app.jerboa.core.preset;
