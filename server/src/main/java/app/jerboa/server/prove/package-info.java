/**
 * Proving by machine: tests that ask and move, put back what they changed, and leave observations.
 */
package app.jerboa.server.prove;
