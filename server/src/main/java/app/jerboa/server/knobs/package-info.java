/**
 * What a device of a job is told by its knobs and verbs, in whatever language it has, and what it
 * says back.
 */
package app.jerboa.server.knobs;
