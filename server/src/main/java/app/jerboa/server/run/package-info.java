/**
 * What a machine does by itself for a while, at the wish of a person: stored, so that every server
 * can show and cancel it, and seen by its silence when its server was killed.
 */
package app.jerboa.server.run;
