/** Heads that a program drives and reads, under the stop contract of every desk. */
package app.jerboa.server.head;
