/** Jobs: stored, shown, changed by commands, undone. */
package app.jerboa.server.job;
