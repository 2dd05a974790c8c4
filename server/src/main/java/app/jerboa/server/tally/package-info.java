/** What is on air, read from a picture switcher instead of said by hand. */
package app.jerboa.server.tally;
