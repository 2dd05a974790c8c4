/**
 * Every change to a job as a command: applied, stored with its author and all that its inverse
 * needs, taken back and done again; the bodies that carry changes, and their wording.
 */
package app.jerboa.server.change;
